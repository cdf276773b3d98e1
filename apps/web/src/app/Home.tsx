import { lazy, Suspense, useContext, type ReactElement } from 'react';
import { ChosenClub } from '../api/club.js';
import { useRole } from '../api/me.js';
import { SquadPage } from '../squad/SquadPage.js';

const WelcomePage = lazy(async () => ({
  default: (await import('./welcome/WelcomePage.js')).WelcomePage,
}));

const OwnHome = lazy(async () => ({ default: (await import('./accounts/OwnHome.js')).OwnHome }));

/** The start page: the open club's squad, an athlete's own page, or the choice on first opening. */
export function Home(): ReactElement {
  const { clubId } = useContext(ChosenClub);
  const role = useRole();
  if (clubId !== null && role !== 'athlete') return <SquadPage />;
  return <Suspense>{clubId === null ? <WelcomePage /> : <OwnHome />}</Suspense>;
}
