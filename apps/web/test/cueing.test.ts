/** @jest-environment jsdom */
import type { Cue } from '@orthokin/core/cue';
import { replay } from '@orthokin/core/run';
import type { Action, DrillPlan, Run } from '../src/drill/plan.js';
import type { Session } from '../src/drill/session.js';
import { SetClock } from '../src/drill/set-clock.js';
import type { OtherScreens } from '../src/floor/cueing/attempt.js';
import { beginAttempt, type Calling, type Drawn } from '../src/floor/cueing/run-attempt.js';
import { PLAN } from './plan.js';

const beeps: { what: string; calledOff: boolean }[] = [];
const planned = (what: string) => {
  const beep = { what, calledOff: false };
  beeps.push(beep);
  return () => void (beep.calledOff = true);
};
jest.mock('../src/screens/sounds.js', () => ({
  planCueSound: (_plan: object, letter: string) => planned(letter),
  planFreeze: () => planned('freeze'),
  cueSdMs: () => 4.8,
}));

/** One set as it is run, without a disk: what is committed, drawn and told to others, in order. */
class Floor {
  readonly committed: Action[] = [];
  readonly drawn: Partial<Drawn>[] = [];
  readonly told: string[] = [];
  readonly clock = new SetClock(performance.timeOrigin + performance.now());
  run: Run;
  calling: Calling | null = null;

  constructor(
    plan: DrillPlan,
    private readonly seesHome = false,
    before: readonly Action[] = [],
  ) {
    const run = replay<DrillPlan>([{ type: 'started', plan }, ...before]);
    if (!run) throw new Error('no run');
    this.run = run;
  }

  begin(): this {
    const session = {
      commit: (happened: Action | ((run: Run) => Action | null)) => {
        const action = typeof happened === 'function' ? happened(this.run) : happened;
        if (!action) return Promise.resolve();
        this.committed.push(action);
        this.run =
          replay<DrillPlan>([{ type: 'started', plan: this.run.plan }, ...this.committed]) ??
          this.run;
        return Promise.resolve();
      },
      snapshot: () => ({ run: this.run, storageFailed: false }),
    } as unknown as Session;
    const others: OtherScreens = {
      coming: ({ letter }) => this.told.push(`coming ${letter}`),
      seeHome: () => this.seesHome,
      clear: () => this.told.push('clear'),
    };
    const { run, clock } = this;
    this.calling = beginAttempt({ session, run, clock, others }, (change) =>
      this.drawn.push(change),
    );
    return this;
  }

  get letters(): string[] {
    return this.drawn.flatMap(({ letter }) => (letter ? [letter] : []));
  }

  of<Type extends Action['type']>(type: Type): Extract<Action, { type: Type }>[] {
    return this.committed.filter(
      (action): action is Extract<Action, { type: Type }> => action.type === type,
    );
  }
}

const conditions = (change: Partial<DrillPlan['conditions']>): Partial<DrillPlan> => ({
  conditions: { ...PLAN.conditions, ...change },
});
const withCue = (change: Partial<Cue>): Partial<DrillPlan> => ({
  cues: PLAN.cues.map((cue) => ({ ...cue, ...change })),
});

beforeEach(() => {
  beeps.length = 0;
  jest.useFakeTimers({ advanceTimers: false });
});
afterEach(() => jest.useRealTimers());

/** First foreperiod after the lead-in. */
const DUE_MS = 2500;

test('a cue is announced at once, shown and sounded when due, and stored as it was shown', () => {
  const floor = new Floor(PLAN).begin();
  expect(floor.told).toEqual(['coming A']);
  expect(beeps).toEqual([{ what: 'A', calledOff: false }]);
  jest.advanceTimersByTime(DUE_MS - 40);
  expect(floor.letters).toEqual([]);
  expect(floor.of('cued')).toEqual([]);
  jest.advanceTimersByTime(80);
  expect(floor.letters).toEqual(['A']);
  const [{ cue } = { cue: null }] = floor.of('cued');
  expect(cue).toMatchObject({ name: 'cue', sdMs: 4.8, source: 'sensor' });
  expect(Math.abs((cue?.atMs ?? 0) - DUE_MS)).toBeLessThanOrEqual(17);
});

test('called off, nothing is shown, sounded or stored any more, and the others are told', () => {
  const floor = new Floor(PLAN).begin();
  jest.advanceTimersByTime(500);
  floor.calling?.cancel();
  jest.advanceTimersByTime(20_000);
  expect(floor.committed).toEqual([]);
  expect(floor.letters).toEqual([]);
  expect(floor.told).toEqual(['coming A', 'clear']);
  expect(beeps[0]?.calledOff).toBe(true);
});

test('who does not respond within the limit has the rep closed', () => {
  const floor = new Floor(PLAN).begin();
  jest.advanceTimersByTime(DUE_MS + 100 + PLAN.responseLimitMs);
  expect(floor.of('ran out')).toHaveLength(1);
});

test('after a response the rep waits for home, but not for ever', () => {
  const floor = new Floor(PLAN).begin();
  jest.advanceTimersByTime(DUE_MS + 50);
  const action = { name: 'action', atMs: DUE_MS + 900, sdMs: 45, source: 'hand' } as const;
  floor.committed.push({ type: 'event', event: action });
  floor.run = replay<DrillPlan>([{ type: 'started', plan: PLAN }, ...floor.committed]) ?? floor.run;
  jest.advanceTimersByTime(PLAN.responseLimitMs + 100);
  expect(floor.of('ran out')).toEqual([]);
  jest.advanceTimersByTime(12_000);
  expect(floor.of('ran out')).toHaveLength(1);
});

test('at a fixed pace the rep is closed just before the next cue', () => {
  const plan = { ...PLAN, ...conditions({ pace: { kind: 'fixed', everyMs: 2000 } }) };
  const floor = new Floor(plan).begin();
  jest.advanceTimersByTime(DUE_MS + 1850);
  expect(floor.of('ran out')).toEqual([]);
  jest.advanceTimersByTime(150);
  const [{ atMs } = { atMs: NaN }] = floor.of('ran out');
  expect(atMs - (floor.of('cued')[0]?.cue.atMs ?? NaN)).toBe(2000 - 80);
});

test('timed by nobody, the athlete is taken to be home when surely home', () => {
  const floor = new Floor({ ...PLAN, source: 'none' }).begin();
  jest.advanceTimersByTime(DUE_MS + 15_000);
  expect(floor.of('ran out')).toHaveLength(1);
});

test('without a mat a sensed rep is closed in time; with one the mat says so', () => {
  const plan: DrillPlan = { ...PLAN, source: 'sensor', responseLimitMs: 60_000 };
  const [blind, seeing] = [new Floor(plan).begin(), new Floor(plan, true).begin()];
  jest.advanceTimersByTime(DUE_MS + 11_000);
  expect(blind.of('ran out')).toHaveLength(1);
  expect(seeing.of('ran out')).toEqual([]);
});

test('a catch trial shows nothing and is held to its end', () => {
  const floor = new Floor({ ...PLAN, ...withCue({ catch: true }) }).begin();
  jest.advanceTimersByTime(DUE_MS + 1400);
  expect(floor.committed).toEqual([]);
  jest.advanceTimersByTime(200);
  expect(floor.of('held')).toHaveLength(1);
  expect(floor.letters).toEqual([]);
  expect(beeps).toEqual([]);
});

test('a switched cue is shown and sounded twice', () => {
  const plan = { ...PLAN, ...withCue({ switchTo: { target: 'B', afterMs: 150 } }) };
  const floor = new Floor(plan).begin();
  jest.advanceTimersByTime(DUE_MS + 250);
  expect(floor.letters).toEqual(['A', 'B']);
  expect(beeps.map(({ what }) => what)).toEqual(['A', 'B']);
});

test('called to a stop, the athlete is looked at for as long as it takes', () => {
  const floor = new Floor({ ...PLAN, ...withCue({ freezeAt: 'load' }) }).begin();
  jest.advanceTimersByTime(60_000);
  expect(floor.drawn.some(({ frozen }) => frozen)).toBe(true);
  expect(beeps.map(({ what }) => what)).toEqual(['A', 'freeze']);
  expect(floor.of('ran out')).toEqual([]);
});

test('the simulated athlete plays the whole rep through the same door as a press', () => {
  const floor = new Floor({ ...PLAN, source: 'simulated' }).begin();
  expect(floor.drawn.some(({ playing }) => playing?.some(({ name }) => name === 'home'))).toBe(
    true,
  );
  jest.advanceTimersByTime(DUE_MS + 6000);
  const names = floor.of('event').map(({ event }) => event.name);
  expect(names).toEqual(expect.arrayContaining(['firstMove', 'action', 'home']));
  expect(floor.of('event').every(({ event }) => event.source === 'simulated')).toBe(true);
  // The same seed plays the same rep.
  const again = new Floor({ ...PLAN, source: 'simulated' }).begin();
  jest.advanceTimersByTime(DUE_MS + 6000);
  const gaps = (of: Floor) => {
    const [cue] = of.of('cued');
    return of.of('event').map(({ event }) => Math.round(event.atMs - (cue?.cue.atMs ?? 0)));
  };
  expect(gaps(again)).toEqual(gaps(floor));
});

describe('called live', () => {
  const plan: DrillPlan = { ...PLAN, cues: [], ...conditions({ order: 'called' }) };

  test('nothing happens until a target is called, and then only once', () => {
    const floor = new Floor(plan).begin();
    jest.advanceTimersByTime(5000);
    expect(floor.told).toEqual([]);
    floor.calling?.call('B');
    floor.calling?.call('A');
    jest.advanceTimersByTime(200);
    expect(floor.letters).toEqual(['B']);
    expect(floor.of('cued')).toMatchObject([{ target: 'B' }]);
  });
});

test('work by the clock ends when its time is up, though cues are left', () => {
  const plan: DrillPlan = {
    ...PLAN,
    ...conditions({ pace: { kind: 'fixed', everyMs: 2000 } }),
  };
  const floor = new Floor(plan);
  floor.run = { ...floor.run, workEndsMs: 2000 };
  floor.begin();
  jest.advanceTimersByTime(1990);
  expect(floor.committed).toEqual([]);
  jest.advanceTimersByTime(20);
  expect(floor.of('time up')).toHaveLength(1);
  expect(floor.letters).toEqual([]);
});
