/** @jest-environment jsdom */
import './support/text-encoder.js';
import type { ClubBody, ClubReply } from '@orthokin/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { ClubContext, useClubs, useSaveClub } from '../src/api/club.js';

const START: ClubReply = {
  ...{ clubId: 'club', name: 'Tiller Lane', sport: 'squash', unit: 'metres' },
  faults: [],
};
const SLOW_MS = 40;
const after = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** A server that takes its time: the first change longest, readings as they were when asked. */
function slowServer() {
  let stored = START;
  let puts = 0;
  const fetched = jest.fn(async (_url: string, init?: RequestInit) => {
    const isPut = init?.method === 'PUT';
    const seen = stored;
    await after(isPut && puts++ === 0 ? 3 * SLOW_MS : SLOW_MS);
    if (isPut)
      stored = { ...stored, ...(JSON.parse(init.body as string) as ClubBody) } as ClubReply;
    const body = isPut ? stored : [seen];
    return {
      ...{ ok: true, status: 200, headers: new Headers(), statusText: '' },
      json: () => Promise.resolve(body),
      text: () => Promise.resolve(JSON.stringify(body)),
    };
  });
  Object.assign(globalThis, { fetch: fetched });
  return { stored: () => stored };
}

const named = (name: string): ClubBody => ({
  ...{ name, sport: 'squash', unit: 'metres' as const },
  faults: [],
});

test('changes said one right after the other are stored in their order, and none is shown lost', async () => {
  const server = slowServer();
  const client = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <ClubContext value={START}>{children}</ClubContext>
    </QueryClientProvider>
  );
  const { result } = renderHook(() => ({ clubs: useClubs(), save: useSaveClub() }), { wrapper });
  await waitFor(() => expect(result.current.clubs.data?.[0]?.name).toBe('Tiller Lane'));
  const shown: string[] = [];
  const stop = client.getQueryCache().subscribe(() => {
    const name = result.current.clubs.data?.[0]?.name ?? '';
    if (shown.at(-1) !== name) shown.push(name);
  });
  await act(async () => {
    result.current.save.mutate(named('First'));
    await after(SLOW_MS / 2);
    void client.invalidateQueries();
    result.current.save.mutate(named('Second'));
    await after(12 * SLOW_MS);
  });
  stop();
  expect(server.stored().name).toBe('Second');
  expect(result.current.clubs.data?.[0]?.name).toBe('Second');
  // Once the second was said, nothing older is ever seen again.
  expect(shown.slice(shown.indexOf('Second'))).toEqual(['Second']);
});
