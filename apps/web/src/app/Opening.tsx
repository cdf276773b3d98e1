import type { ReactElement } from 'react';
import { Page, Quiet } from '../parts/Text.js';
import { say } from '../words/app.js';

/** Shown while the first page is being loaded. */
export const Opening = (): ReactElement => (
  <Page name={say('opening')}>
    <Quiet>{say('opening2')}</Quiet>
  </Page>
);
