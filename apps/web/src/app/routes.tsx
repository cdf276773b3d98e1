import { createBrowserRouter } from 'react-router';
import { Frame } from './Frame.js';
import { Home } from './Home.js';
import { atRest } from '../parts/at-rest.js';
import { Lost } from './Lost.js';
import { Opening } from './Opening.js';

const welcome = async () => ({
  Component: (await import('./welcome/WelcomePage.js')).WelcomePage,
});
const account = async () => ({
  Component: (await import('./accounts/AccountPage.js')).AccountPage,
});
const signIn = async () => ({
  Component: (await import('./accounts/SignInPage.js')).SignInPage,
});
const trust = async () => ({ Component: (await import('./accounts/TrustPage.js')).TrustPage });
const invited = async () => ({
  Component: (await import('./accounts/InvitedPage.js')).InvitedPage,
});
const people = async () => ({ Component: (await import('../people/PeoplePage.js')).PeoplePage });
const device = async () => ({
  Component: (await import('./offline/ThisDevice.js')).ThisDevice,
});
const privacy = async () => ({
  Component: (await import('../people/privacy/PrivacyPage.js')).PrivacyPage,
});
const trail = async () => ({
  Component: (await import('../people/privacy/TrailPage.js')).TrailPage,
});
const person = async () => ({ Component: (await import('../people/PersonPage.js')).PersonPage });
const homeSheet = async () => ({
  Component: (await import('../people/home/HomeSheet.js')).HomeSheet,
});
const athletePage = async () => ({
  Component: (await import('../people/AthletePage.js')).AthletePage,
});
const checks = async () => ({
  Component: (await import('../people/care/ChecksPage.js')).ChecksPage,
});
const roster = async () => ({
  Component: (await import('../people/roster/RosterPage.js')).RosterPage,
});
const squads = async () => ({
  Component: (await import('../people/squads/SquadsPage.js')).SquadsPage,
});
const split = async () => ({
  Component: (await import('../people/squads/SplitPage.js')).SplitPage,
});
const colours = async () => ({
  Component: (await import('../people/ColourTestPage.js')).ColourTestPage,
});
const faults = async () => ({
  Component: (await import('../people/FaultsPage.js')).FaultsPage,
});
const floor = async () => ({ Component: (await import('../floor/FloorPage.js')).FloorPage });
const map = async () => ({ Component: (await import('../floor/map/MapPage.js')).MapPage });
const rehearse = async () => ({
  Component: (await import('../floor/rehearse/RehearsePage.js')).RehearsePage,
});
const review = async () => ({
  Component: (await import('../review/set/ReviewPage.js')).ReviewPage,
});
const newest = async () => ({
  Component: (await import('../review/squad/NewestSets.js')).NewestSets,
});
const athlete = async () => ({
  Component: (await import('../review/athlete/AthletePage.js')).AthletePage,
});
const glance = async () => ({
  Component: (await import('../review/squad/SquadGlance.js')).SquadGlance,
});
const together = async () => ({
  Component: (await import('../review/together/TogetherPage.js')).TogetherPage,
});
const compare = async () => ({
  Component: (await import('../review/compare/ComparePage.js')).ComparePage,
});
const report = async () => ({
  Component: (await import('../review/report/ReportPage.js')).ReportPage,
});
const glossary = async () => ({ Component: (await import('./GlossaryPage.js')).GlossaryPage });
const film = async () => ({ Component: (await import('../film/FilmPage.js')).FilmPage });
const plans = async () => ({ Component: (await import('../planner/PlansPage.js')).PlansPage });
const plan = async () => ({ Component: (await import('../planner/PlanPage.js')).PlanPage });
const runPlan = async () => ({ Component: (await import('../planner/run/RunPage.js')).RunPage });
const weeks = async () => ({
  Component: (await import('../planner/weeks/WeeksPage.js')).WeeksPage,
});
const held = async () => ({ Component: (await import('../planner/held/HeldPage.js')).HeldPage });
const planSheet = async () => ({
  Component: (await import('../planner/PlanSheet.js')).PlanSheet,
});
const setOutSheets = async () => ({
  Component: (await import('../planner/SetOutSheets.js')).SetOutSheets,
});
const patternFilm = async () => ({
  Component: (await import('../film/PatternFilmRoom.js')).PatternFilmRoom,
});
const filmRoom = async () => ({ Component: (await import('../film/FilmRoom.js')).FilmRoom });
const files = async () => ({ Component: (await import('../review/files/FilesPage.js')).FilesPage });
const ladder = async () => ({
  Component: (await import('../ladder/everyone/EveryonePage.js')).EveryonePage,
});
const usualLadder = async () => ({
  Component: (await import('../ladder/everyone/EveryonePage.js')).UsualLadder,
});
const athleteLadder = async () => ({
  Component: (await import('../ladder/athlete/AthleteLadderPage.js')).AthleteLadderPage,
});
const rungs = async () => ({ Component: (await import('../ladder/rungs/RungsPage.js')).RungsPage });
const budget = async () => ({
  Component: (await import('../ladder/budget/BudgetPage.js')).BudgetPage,
});
const rules = async () => ({ Component: (await import('../ladder/rules/RulesPage.js')).RulesPage });
const library = async () => ({
  Component: (await import('../library/LibraryPage.js')).LibraryPage,
});
const studio = async () => ({ Component: (await import('../studio/StudioPage.js')).StudioPage });
const setOut = async () => ({
  Component: (await import('../studio/print/SetOutSheet.js')).SetOutSheet,
});
const cards = async () => ({
  Component: (await import('../studio/print/PositionCards.js')).PositionCards,
});

const JOIN = '/join';

/** Whether the device is set to save data. */
const savesData = (): boolean => {
  const connection: unknown = 'connection' in navigator ? navigator.connection : null;
  return (
    typeof connection === 'object' &&
    connection !== null &&
    'saveData' in connection &&
    connection.saveData === true
  );
};

/**
 * Loads the code of all other pages while the first is in use, because the network may be gone when they are needed.
 * One at a time and only when the browser is idle: together they take longer than the first page. Not on devices that
 * save data, where pages load when they are opened (or come from the service worker's cache), nor on joined screens,
 * which open no other page.
 */
export async function fetchPlacesAhead(): Promise<void> {
  if (savesData() || location.pathname.startsWith(JOIN)) return;
  for (const place of [
    floor,
    review,
    people,
    plans,
    plan,
    runPlan,
    held,
    map,
    rehearse,
    together,
    glance,
    newest,
    ladder,
    athleteLadder,
    library,
  ]) {
    await atRest(1000);
    await place().catch(() => undefined);
  }
}

const join = async () => ({ Component: (await import('../join/JoinPage.js')).JoinPage });

/** Pages are lazy, so that floor and review are not part of the first load. */
export const router = createBrowserRouter([
  // Outside the frame: a joined screen has no navigation.
  {
    path: `${JOIN}/:code?`,
    lazy: join,
    errorElement: <Lost />,
    hydrateFallbackElement: <Opening />,
  },
  {
    path: '/trust',
    lazy: trust,
    errorElement: <Lost />,
    hydrateFallbackElement: <Opening />,
  },
  {
    path: '/invited',
    lazy: invited,
    errorElement: <Lost />,
    hydrateFallbackElement: <Opening />,
  },
  {
    path: '/',
    element: <Frame />,
    errorElement: <Lost />,
    hydrateFallbackElement: <Opening />,
    children: [
      { index: true, element: <Home /> },
      { path: 'clubs', lazy: welcome },
      { path: 'account', lazy: account },
      { path: 'sign-in', lazy: signIn },
      { path: 'plan', lazy: plans },
      { path: 'plan/weeks/:programmeId', lazy: weeks },
      { path: 'plan/held/:sessionId', lazy: held },
      { path: 'plan/:planId', lazy: plan },
      { path: 'plan/:planId/run', lazy: runPlan },
      { path: 'plan/:planId/print', lazy: planSheet },
      { path: 'plan/:planId/set-out', lazy: setOutSheets },
      { path: 'device', lazy: device },
      { path: 'people', lazy: people },
      { path: 'people/new', lazy: person },
      { path: 'people/:athleteId/home', lazy: homeSheet },
      { path: 'people/bring', lazy: roster },
      { path: 'people/faults', lazy: faults },
      { path: 'people/privacy', lazy: privacy },
      { path: 'people/:athleteId/trail', lazy: trail },
      { path: 'people/squads', lazy: squads },
      { path: 'people/squads/:groupId/split', lazy: split },
      { path: 'people/:athleteId', lazy: athletePage },
      { path: 'people/:athleteId/details', lazy: person },
      { path: 'people/:athleteId/checks', lazy: checks },
      { path: 'people/:athleteId/colours', lazy: colours },
      { path: 'floor/:athleteId?', lazy: floor },
      { path: 'floor/:athleteId/map', lazy: map },
      { path: 'floor/:athleteId/rehearse', lazy: rehearse },
      { path: 'words', lazy: glossary },
      { path: 'film', lazy: film },
      { path: 'film/:setId', lazy: filmRoom },
      { path: 'film/pattern/:patternId', lazy: patternFilm },
      { path: 'review', lazy: glance },
      { path: 'review/sets', lazy: newest },
      { path: 'review/compare', lazy: compare },
      { path: 'review/together', lazy: together },
      { path: 'review/athletes/:athleteId', lazy: athlete },
      { path: 'review/athletes/:athleteId/report', lazy: report },
      { path: 'review/data', lazy: files },
      { path: 'review/:setId', lazy: review },
      { path: 'ladder', lazy: usualLadder },
      { path: 'ladder/rules', lazy: rules },
      { path: 'ladder/:patternId', lazy: ladder },
      { path: 'ladder/:patternId/rungs', lazy: rungs },
      { path: 'ladder/:patternId/budget', lazy: budget },
      { path: 'ladder/:patternId/:athleteId', lazy: athleteLadder },
      { path: 'patterns', lazy: library },
      { path: 'patterns/:patternId', lazy: studio },
      { path: 'patterns/:patternId/set-out', lazy: setOut },
      { path: 'patterns/:patternId/cards', lazy: cards },
      { path: 'patterns/:patternId/cards/:letter', lazy: cards },
      { path: '*', element: <Lost /> },
    ],
  },
]);
