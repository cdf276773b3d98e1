/** @jest-environment jsdom */
import './support/text-encoder.js';
import 'fake-indexeddb/auto';
import type { ClubReply } from '@orthokin/contract';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { ClubContext } from '../src/api/club.js';
import { useSetReview } from '../src/api/review.js';
import { Sending } from '../src/app/sending.js';
import { useOutbox, useSending } from '../src/device/outbox-context.js';

const CLUB: ClubReply = {
  ...{ clubId: 'club', name: 'Tiller Lane', sport: 'squash', unit: 'metres' },
  faults: [],
};

/** A server that is asked for a set before its end has come, and answers after. */
function slowReader() {
  let ended = false;
  const answers: (() => void)[] = [];
  const reply = (body: object) => ({
    ...{ ok: true, status: 200, headers: new Headers(), statusText: '' },
    json: () => Promise.resolve(body),
    text: () => Promise.resolve(JSON.stringify(body)),
  });
  const fetched = jest.fn(async (_url: string, init?: RequestInit) => {
    if (init?.method === 'PUT') {
      ended = true;
      return reply({});
    }
    const seen = { set: { endReason: ended ? 'technique went' : null } };
    await new Promise<void>((answer) => answers.push(answer));
    return reply(seen);
  });
  Object.assign(globalThis, { fetch: fetched });
  return { answers };
}

test('a review that was asked for before the end of the set was sent is asked for again', async () => {
  const { answers } = slowReader();
  const client = new QueryClient({ defaultOptions: { queries: { staleTime: 5000 } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>
      <Sending>
        <ClubContext value={CLUB}>{children}</ClubContext>
      </Sending>
    </QueryClientProvider>
  );
  const { result } = renderHook(
    () => {
      const { subjects } = useSending();
      return { outbox: useOutbox(), review: useSetReview('one', !subjects.has('drill:one')) };
    },
    { wrapper },
  );
  await waitFor(() => expect(answers).toHaveLength(1));
  await act(async () => {
    const end = { subject: 'drill:one', method: 'PUT', path: 'end', body: {} } as const;
    await result.current.outbox.queue(end);
    await waitFor(() => expect(result.current.outbox.snapshot().waiting).toBe(0));
    answers.shift()?.();
  });
  await waitFor(() => expect(answers).toHaveLength(1));
  await act(async () => {
    answers.shift()?.();
    await Promise.resolve();
  });
  await waitFor(() => expect(result.current.review.data?.set.endReason).toBe('technique went'));
  client.clear();
});
