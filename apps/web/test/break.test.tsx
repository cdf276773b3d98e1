/** @jest-environment jsdom */
import './support/text-encoder.js';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { SetReviewReply } from '@orthokin/contract';
import { ClubContext } from '../src/api/club.js';
import { OutboxContext } from '../src/device/outbox-context.js';
import { Outbox } from '../src/device/outbox.js';
import type { Run } from '../src/drill/plan.js';
import type { DrillActs } from '../src/floor/acts/useDrillActs.js';
import { Break } from '../src/floor/between/Break.js';
import { PLAN } from './plan.js';
import { rep, runOf } from './played.js';

const DONE = runOf([...rep('r1', 3000), ...rep('r2', 7000), ...rep('r3', 11_000)]);
const PAUSED = runOf([...rep('r1', 3000), { type: 'paused', atMs: 6000 }]);

const acts = () =>
  ({ redo: jest.fn(), strike: jest.fn(), goOn: jest.fn() }) as unknown as jest.Mocked<DrillActs>;

/** What the server answers of the set; as much of it as the answer reads. */
const review = (answer: string): SetReviewReply =>
  ({
    set: { id: PLAN.id, athleteId: 'athlete', patternId: 'pattern', rung: 1 },
    currentRung: 1,
    decision: {
      ...{ answer, because: 'the rule is met', limiting: null, raises: ['speed'], setIds: ['s'] },
      ...{ rule: { kind: 'count', setsNeeded: 2, ofLast: 3, distinctDays: 2 }, rulesVersion: 1 },
      state: { kind: 'count', setsSeen: 2, setsPassed: 2, daysPassed: 2, met: true },
      ...{ passRate: 1, fade: null },
    },
  }) as unknown as SetReviewReply;

interface Shown {
  readonly run?: Run;
  readonly goingOn?: string | null;
  readonly onEnd?: () => void;
  readonly onNext?: () => void;
  readonly done?: DrillActs;
}
function show({
  run = DONE,
  goingOn = null,
  onEnd = jest.fn(),
  onNext = jest.fn(),
  done = acts(),
}: Shown) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(
    <QueryClientProvider client={client}>
      <OutboxContext value={new Outbox(() => Promise.resolve('taken'))}>
        <ClubContext
          value={{ clubId: 'club', name: 'Club', sport: '', unit: 'metres' as const, faults: [] }}
        >
          <Break run={run} acts={done} goingOn={goingOn} onEnd={onEnd} onNext={onNext} />
        </ClubContext>
      </OutboxContext>
    </QueryClientProvider>,
  );
}

/** The server: what it answers, when it is let. */
let answerNow: (answer: string) => void = () => undefined;
beforeEach(() => {
  const answered = new Promise<string>((done) => (answerNow = done));
  Object.assign(globalThis, {
    fetch: async () => {
      const body = review(await answered);
      return { ok: true, status: 200, headers: new Map(), json: () => Promise.resolve(body) };
    },
  });
});

describe('the end of a set', () => {
  const names = () => screen.getAllByRole('button').map(({ textContent }) => textContent);

  test('says that it is done, what is kept, and what can be done', () => {
    show({});
    expect(screen.getByRole('heading').textContent).toBe('Set done.');
    expect(names()).toEqual([
      'See where the time went',
      expect.stringContaining('Redo rep 3'),
      expect.stringContaining('Strike out rep 3'),
    ]);
  });

  test('what is answered later comes below the buttons: none moves under a finger', async () => {
    show({});
    const before = names();
    await act(async () => {
      answerNow('stay');
      await Promise.resolve();
    });
    await screen.findByRole('status');
    expect(names().slice(0, before.length)).toEqual(before);
    const main = screen.getByRole('button', { name: 'See where the time went' });
    const answer = screen.getByRole('status');
    expect(main.compareDocumentPosition(answer) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
  });

  test('an answer that moves offers the move and the next set', async () => {
    show({});
    await act(async () => {
      answerNow('move up');
      await Promise.resolve();
    });
    expect(await screen.findByRole('button', { name: /Move up.*rung 2/i })).toBeTruthy();
    expect(screen.getByRole('button', { name: /Next set.*rung 1/i })).toBeTruthy();
  });

  test('each button does what it says', async () => {
    const user = userEvent.setup();
    const [onEnd, done] = [jest.fn(), acts()];
    show({ onEnd, done });
    await user.click(screen.getByRole('button', { name: /Redo rep 3/ }));
    await user.click(screen.getByRole('button', { name: /Strike out rep 3/ }));
    await user.click(screen.getByRole('button', { name: 'See where the time went' }));
    expect(
      [done.redo, done.strike, onEnd].map((each) => (each as jest.Mock).mock.calls.length),
    ).toEqual([1, 1, 1]);
  });
});

describe('a set that another follows', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const wait = (ms: number) => {
    act(() => {
      jest.advanceTimersByTime(ms);
    });
  };

  test('goes on by itself after a while', () => {
    const onEnd = jest.fn();
    show({ goingOn: 'On to the rest', onEnd });
    expect(screen.getByRole('button', { name: 'On to the rest' })).toBeTruthy();
    wait(4900);
    expect(onEnd).not.toHaveBeenCalled();
    wait(200);
    expect(onEnd).toHaveBeenCalledTimes(1);
  });

  test('waits when it was left, and when the last set of all is done', () => {
    const onEnd = jest.fn();
    const { unmount } = show({ goingOn: 'On to the rest', onEnd });
    unmount();
    show({ onEnd });
    wait(60_000);
    expect(onEnd).not.toHaveBeenCalled();
  });
});

describe('a set that stands still', () => {
  test('says how far it is, and can go on or be left with what is kept', async () => {
    const user = userEvent.setup();
    const [onEnd, done] = [jest.fn(), acts()];
    show({ run: PAUSED, onEnd, done });
    expect(screen.getByRole('heading').textContent).toBe('Paused after 1 of 3.');
    await user.click(screen.getByRole('button', { name: 'Go on' }));
    await user.click(screen.getByRole('button', { name: 'Stop here, keep 1 rep' }));
    expect(done.goOn).toHaveBeenCalledTimes(1);
    expect(onEnd).toHaveBeenCalledTimes(1);
  });

  test('before any rep is left without one', () => {
    show({ run: runOf([{ type: 'paused', atMs: 2000 }]) });
    expect(screen.getByText(/No rep/)).toBeTruthy();
    expect(screen.getByRole('button', { name: /Leave without a set/ })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /Redo/ })).toBeNull();
  });
});
