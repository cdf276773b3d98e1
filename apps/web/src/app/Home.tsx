import { lazy, Suspense, useContext, type ReactElement } from 'react';
import { ChosenClub } from '../api/club.js';
import { SquadPage } from '../squad/SquadPage.js';

const WelcomePage = lazy(async () => ({
  default: (await import('./welcome/WelcomePage.js')).WelcomePage,
}));

/** The squad of the club that was opened on this device; on the first opening, which it is to be. */
export function Home(): ReactElement {
  const { clubId } = useContext(ChosenClub);
  if (clubId !== null) return <SquadPage />;
  return (
    <Suspense>
      <WelcomePage />
    </Suspense>
  );
}
