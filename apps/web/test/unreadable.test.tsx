/** @jest-environment jsdom */
import './support/text-encoder.js';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { UnreadableReply } from '@orthokin/contract';
import { ClubContext } from '../src/api/club.js';
import { Unreadable } from '../src/review/files/Unreadable.js';

const SET: UnreadableReply = {
  ...{ kind: 'set', id: 'set-id', version: null, athlete: 'Juno Marlock', sets: 1 },
  at: '2026-03-01T10:00:00.000Z',
};
const VERSION: UnreadableReply = {
  ...{ kind: 'pattern version', id: 'pattern-id', version: 3, athlete: null, sets: 4 },
  at: '2026-02-01T10:00:00.000Z',
};

/** The server: what it still cannot read, and what it was asked to do. */
let stored: UnreadableReply[] = [];
let asked: string[] = [];
let refusal: string | null = null;
beforeEach(() => {
  [stored, asked, refusal] = [[SET, VERSION], [], null];
  const reply = (status: number, body: unknown) => ({
    ...{ ok: status < 400, status, statusText: '', headers: new Map<string, string>() },
    json: () => Promise.resolve(body),
  });
  Object.assign(globalThis, {
    fetch: (path: string, { method }: { method: string }) => {
      if (method === 'GET') return Promise.resolve(reply(200, stored));
      asked.push(`${method} ${path}`);
      if (refusal !== null)
        return Promise.resolve(reply(409, { message: refusal, problems: [], statusCode: 409 }));
      stored = stored.filter(({ id }) => !path.includes(id));
      return Promise.resolve(reply(200, {}));
    },
  });
});

const show = () =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <ClubContext
        value={{ clubId: 'club', name: 'Club', sport: '', unit: 'metres' as const, faults: [] }}
      >
        <Unreadable />
      </ClubContext>
    </QueryClientProvider>,
  );
const user = userEvent.setup();

describe('what cannot be read', () => {
  test('is nothing to see where all is well', async () => {
    stored = [];
    const { container } = show();
    await waitFor(() => expect(container.innerHTML).toBe(''));
  });

  test('is named: whose set and when, which version and what goes with it', async () => {
    show();
    const lines = await screen.findAllByRole('listitem');
    expect(lines.map(({ textContent }) => textContent)).toEqual([
      expect.stringMatching(/^The set of Juno Marlock, /),
      expect.stringMatching(/^Version 3 of a pattern, .*with 4 sets run on it/),
    ]);
  });

  test('is taken out only after a second press, and is gone', async () => {
    show();
    const [first] = await screen.findAllByRole('button', { name: 'Take it out' });
    if (first) await user.click(first);
    expect(asked).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Take it out for good' }));
    expect(asked).toEqual(['DELETE /api/clubs/club/sets/set-id']);
    await waitFor(() => expect(screen.getAllByRole('listitem')).toHaveLength(1));
  });

  test('of a version names its pattern and number', async () => {
    stored = [VERSION];
    show();
    await user.click(await screen.findByRole('button', { name: 'Take it out' }));
    await user.click(screen.getByRole('button', { name: 'Take it out for good' }));
    expect(asked).toEqual(['DELETE /api/clubs/club/patterns/pattern-id/versions/3']);
  });

  test('that cannot be taken out says why, and stays', async () => {
    refusal = 'An athlete began with it.';
    show();
    const [, second] = await screen.findAllByRole('button', { name: 'Take it out' });
    if (second) await user.click(second);
    await user.click(screen.getByRole('button', { name: 'Take it out for good' }));
    expect(await screen.findByText('An athlete began with it.')).toBeTruthy();
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
  });
});
