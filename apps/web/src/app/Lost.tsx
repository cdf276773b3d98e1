import type { ReactElement } from 'react';
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { ButtonLink } from '../parts/Button.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { say } from '../words/app.js';

/** Shown for an unknown address, and for a page that crashed. */
export function Lost(): ReactElement {
  const error = useRouteError();
  const broke = error instanceof Error && !isRouteErrorResponse(error);
  return (
    <Page name={say('nothingHere')}>
      <Headline>{broke ? say('thisPageBroke') : say('thereNothingThisAddress')}</Headline>
      <Quiet style={{ margin: '12px 0 20px' }}>
        {broke ? say('whatWasRecordedKeptGoBack') : say('linkMayOldSquadGoodPlace')}
      </Quiet>
      <ButtonLink to="/" $weight="main">
        {say('squad2')}
      </ButtonLink>
    </Page>
  );
}
