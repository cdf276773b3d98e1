import { createBrowserRouter } from 'react-router';
import { SquadPage } from '../squad/SquadPage.js';
import { Frame } from './Frame.js';
import { Lost } from './Lost.js';

const floor = async () => ({ Component: (await import('../floor/FloorPage.js')).FloorPage });
const review = async () => ({ Component: (await import('../review/ReviewPage.js')).ReviewPage });
const newest = async () => ({ Component: (await import('../review/NewestSets.js')).NewestSets });
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

/**
 * Fetches the places that are loaded on demand while the first is being read: the network may be
 * gone by the time the set is over.
 */
export function fetchPlacesAhead(): void {
  const fetch = () =>
    void Promise.all([floor(), review(), newest(), library()]).catch(() => undefined);
  if ('requestIdleCallback' in window) requestIdleCallback(fetch);
  else setTimeout(fetch, 1000);
}

/** The floor and the review are no part of the first load. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <Frame />,
    errorElement: <Lost />,
    children: [
      { index: true, element: <SquadPage /> },
      { path: 'floor/:athleteId?', lazy: floor },
      { path: 'review', lazy: newest },
      { path: 'review/:setId', lazy: review },
      { path: 'patterns', lazy: library },
      { path: 'patterns/:patternId', lazy: studio },
      { path: 'patterns/:patternId/set-out', lazy: setOut },
      { path: 'patterns/:patternId/cards/:letter', lazy: cards },
      { path: '*', element: <Lost /> },
    ],
  },
]);
