import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { Refused } from '../api/client.js';
import { GlobalStyle } from '../parts/GlobalStyle.js';
import { PhaseDefs } from '../parts/phases.js';
import { fetchPlacesAhead, router } from './routes.js';
import { Sending } from './sending.js';

const client = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      // A refusal stays a refusal; only silence is worth asking again.
      retry: (failures, error) => failures < 2 && !(error instanceof Refused),
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
fetchPlacesAhead();
