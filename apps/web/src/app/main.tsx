import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import { QueryCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { Refused } from '../api/client.js';
import { keys } from '../api/keys.js';
import { isSignedOut } from '../api/me.js';
import { GlobalStyle } from '../parts/GlobalStyle.js';
import { PhaseDefs } from '../parts/phases.js';
import { atRest } from '../parts/at-rest.js';
import { hearInstallOffer, putAppAside } from './offline/app-version.js';
import { fetchPlacesAhead, router } from './routes.js';
import { Sending } from './sending.js';

const client = new QueryClient({
  // The device was signed out, here or by an owner: find out who it is now.
  queryCache: new QueryCache({
    onError: (error) => {
      if (isSignedOut(error)) void client.invalidateQueries({ queryKey: keys.me });
    },
  }),
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      // Only failures without an answer are retried; a refusal would only be repeated.
      retry: (failures, error) => failures < 2 && navigator.onLine && !(error instanceof Refused),
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

const root = document.getElementById('root');
if (!root) throw new Error('index.html has no #root.');
createRoot(root).render(
  <StrictMode>
    <GlobalStyle />
    <PhaseDefs />
    <QueryClientProvider client={client}>
      <Sending>
        <RouterProvider router={router} />
      </Sending>
    </QueryClientProvider>
  </StrictMode>,
);
void fetchPlacesAhead();
hearInstallOffer();
// After the first page: caching the app for later must not slow it down.
void atRest(1000).then(putAppAside);
