import type { ReactElement } from 'react';
import { Page, Quiet } from '../parts/Text.js';

/** While the first place is being fetched. */
export const Opening = (): ReactElement => (
  <Page name="Opening">
    <Quiet>Opening…</Quiet>
  </Page>
);
