import { createBrowserRouter } from 'react-router';
import { SquadPage } from '../squad/SquadPage.js';
import { Frame } from './Frame.js';
import { Lost } from './Lost.js';

/** The floor and the review are loaded when somebody goes there. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <Frame />,
    errorElement: <Lost />,
    children: [
      { index: true, element: <SquadPage /> },
      {
        path: 'floor/:athleteId?',
        lazy: async () => ({ Component: (await import('../floor/FloorPage.js')).FloorPage }),
      },
      {
        path: 'review',
        lazy: async () => ({ Component: (await import('../review/NewestSets.js')).NewestSets }),
      },
      {
        path: 'review/:setId',
        lazy: async () => ({ Component: (await import('../review/ReviewPage.js')).ReviewPage }),
      },
      { path: '*', element: <Lost /> },
    ],
  },
]);
