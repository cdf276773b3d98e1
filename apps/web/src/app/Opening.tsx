import type { ReactElement } from 'react';
import { Page, Quiet } from '../parts/Text.js';
import { say } from '../words/app.js';

/** While the first place is being fetched. */
export const Opening = (): ReactElement => (
  <Page name={say('opening')}>
    <Quiet>{say('opening2')}</Quiet>
  </Page>
);
