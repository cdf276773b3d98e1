import type { ReactElement } from 'react';
import { isRouteErrorResponse, useRouteError } from 'react-router';
import { ButtonLink } from '../parts/Button.js';
import { Headline, Page, Quiet } from '../parts/Text.js';

/** For an address that leads nowhere, and for a page that broke. */
export function Lost(): ReactElement {
  const error = useRouteError();
  const broke = error instanceof Error && !isRouteErrorResponse(error);
  return (
    <Page name="Nothing here">
      <Headline>{broke ? 'This page broke.' : 'There is nothing at this address.'}</Headline>
      <Quiet style={{ margin: '12px 0 20px' }}>
        {broke
          ? 'What was recorded is kept. Go back to the squad and on from there; reloading may help too.'
          : 'The link may be old. The squad is a good place to start from.'}
      </Quiet>
      <ButtonLink to="/" $weight="main">
        To the squad
      </ButtonLink>
    </Page>
  );
}
