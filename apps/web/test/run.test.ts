import fc from 'fast-check';
import type { Cue } from '@orthokin/core/cue';
import { eventOf, readRep, type EventName } from '@orthokin/core/timing';
import { placeEvent } from '@orthokin/core/run';
import {
  apply,
  cueDueMs,
  everyMsNow,
  finishedReps,
  lastRep,
  replay,
  settingsOf,
  staircaseOf,
} from '@orthokin/core/run';
import type { Action, DrillPlan, Run } from '../src/drill/plan.js';
import { outgoing, setBody } from '../src/drill/requests.js';
import { PLAN } from './plan.js';
import { cued, press, rep } from './played.js';

const started: Action = { type: 'started', plan: PLAN };

function runOf(...actions: Action[]): Run {
  const run = replay([started, ...actions]);
  if (!run) throw new Error('no run');
  return run;
}

describe('a run', () => {
  test('goes from cue to cue until every one has its rep', () => {
    const two = runOf(...rep('r1', 3000), ...rep('r2', 7000));
    expect(two).toMatchObject({ state: 'waiting', ordinal: 3, readyMs: 8800 });
    const done = runOf(...rep('r1', 3000), ...rep('r2', 7000), ...rep('r3', 11_000));
    expect(done.state).toBe('complete');
    expect(finishedReps(done).map(({ target }) => target)).toEqual(['A', 'B', 'A']);
    expect(apply(done, { type: 'ended', at: '' })).toMatchObject({ endReason: 'completed' });
  });

  test('keeps a first move that comes before the cue, and nothing else that early', () => {
    const early = runOf(
      press('home', 2000),
      press('action', 2500),
      press('firstMove', 2900),
      ...rep('r1', 3000),
    );
    expect(finishedReps(early)[0]?.events.map(({ name, atMs }) => [name, atMs])).toEqual([
      ['firstMove', 2900],
      ['cue', 3000],
      ['action', 3900],
      ['home', 4800],
    ]);
  });

  test('the first press of a kind stands; one that cannot be placed is dropped', () => {
    const run = runOf(
      cued('r1', 3000),
      press('action', 3900),
      press('action', 4000),
      press('arrival', 4100),
      press('home', 4800),
    );
    expect(finishedReps(run)[0]?.events.map(({ name, atMs }) => [name, atMs])).toEqual([
      ['cue', 3000],
      ['action', 3900],
      ['home', 4800],
    ]);
  });

  test('a pause drops the open rep and cues the same target again', () => {
    const paused = runOf(...rep('r1', 3000), cued('r2', 7000), press('firstMove', 7200), {
      type: 'paused',
      atMs: 7300,
    });
    expect(paused).toMatchObject({ state: 'paused', ordinal: 2, open: { events: [] } });
    expect(apply(paused, { type: 'resumed', atMs: 20_000 })).toMatchObject({
      state: 'waiting',
      ordinal: 2,
      readyMs: 20_000,
    });
  });

  test('a rep that ran out is kept with what was seen of it', () => {
    const run = runOf(cued('r1', 3000), { type: 'ran out', atMs: 6000 });
    expect(finishedReps(run)[0]?.events).toHaveLength(1);
    expect(run).toMatchObject({ state: 'waiting', ordinal: 2, readyMs: 6000 });
  });

  test('redo replaces the last rep and then goes on where it was', () => {
    const redone = runOf(...rep('r1', 3000), ...rep('r2', 7000), { type: 'redone', atMs: 9000 });
    expect(redone).toMatchObject({ ordinal: 2, redoOf: 'r2' });
    const run = runOf(
      ...rep('r1', 3000),
      ...rep('r2', 7000),
      { type: 'redone', atMs: 9000 },
      ...rep('r2b', 11_000),
    );
    expect(finishedReps(run).map(({ id }) => id)).toEqual(['r1', 'r2b']);
    expect(run.ordinal).toBe(3);
    expect(lastRep(run)?.id).toBe('r2b');
  });

  test('striking out twice puts a rep back, each time as a new row', () => {
    const strike = (repId: string, newId: string): Action => ({ type: 'struck', repId, newId });
    const once = runOf(...rep('r1', 3000), strike('r1', 's1'));
    expect(finishedReps(once)[0]).toMatchObject({ id: 's1', struckOut: true, replaces: 'r1' });
    const twice = runOf(...rep('r1', 3000), strike('r1', 's1'), strike('s1', 's2'));
    expect(finishedReps(twice)[0]).toMatchObject({ id: 's2', struckOut: false });
  });

  test('an ended run takes nothing more', () => {
    const ended = runOf(...rep('r1', 3000), { type: 'ended', at: '' });
    for (const action of [
      ...rep('r2', 7000),
      { type: 'redone', atMs: 1 } as const,
      { type: 'resumed', atMs: 1 } as const,
    ])
      expect(apply(ended, action)).toBe(ended);
  });

  test('whatever happens, each cue has at most one standing rep and rows are only added', () => {
    const time = fc.nat(60_000);
    const id = fc.uuid();
    const action: fc.Arbitrary<Action> = fc.oneof(
      fc.tuple(id, time).map(([repId, at]) => cued(repId, at)),
      fc
        .tuple(fc.constantFrom<EventName>('firstMove', 'arrival', 'action', 'home'), time)
        .map(([name, at]) => press(name, at)),
      time.map((atMs): Action => ({ type: 'ran out', atMs })),
      time.map((atMs): Action => ({ type: 'redone', atMs })),
      time.map((atMs): Action => ({ type: 'resumed', atMs })),
      time.map((atMs): Action => ({ type: 'paused', atMs })),
    );
    fc.assert(
      fc.property(fc.array(action, { maxLength: 60 }), (actions) => {
        let run = runOf();
        for (const next of actions) {
          const before = run;
          run = apply(run, next) ?? run;
          expect(run.recorded.slice(0, before.recorded.length)).toEqual(before.recorded);
        }
        const ordinals = finishedReps(run).map(({ ordinal }) => ordinal);
        expect(new Set(ordinals).size).toBe(ordinals.length);
      }),
    );
  });
});

describe('out of the ordinary', () => {
  const ended = (atMs: number): Action => ({ type: 'ran out', atMs });
  const withPlan = (change: Partial<DrillPlan>, ...actions: Action[]) => {
    const run = replay([{ type: 'started', plan: { ...PLAN, ...change } }, ...actions]);
    if (!run) throw new Error('no run');
    return run;
  };
  const catchFirst = [{ ...PLAN.cues[0], catch: true }, ...PLAN.cues.slice(1)] as Cue[];

  test('a catch trial that is held is a rep without a cue, or with an early move', () => {
    const held: Action = { type: 'held', repId: 'r1', atMs: 4000 };
    expect(finishedReps(withPlan({ cues: catchFirst }, held))).toMatchObject([{ events: [] }]);
    const moved = withPlan({ cues: catchFirst }, press('firstMove', 2600), held);
    expect(finishedReps(moved)[0]?.events.map(({ name }) => name)).toEqual(['firstMove']);
    expect(moved).toMatchObject({ state: 'waiting', ordinal: 2, readyMs: 4000 });
  });

  test('at a fixed pace a cue is due after the cue before, after a pause when they are ready', () => {
    const conditions = { ...PLAN.conditions, pace: { kind: 'fixed' as const, everyMs: 2500 } };
    const one = withPlan({ conditions }, ...rep('r1', 3000));
    expect(cueDueMs(one)).toBe(5500);
    const paused = [
      { type: 'paused', atMs: 5000 } as const,
      { type: 'resumed', atMs: 9000 } as const,
    ].reduce<Run | null>(apply, one);
    expect(paused && cueDueMs(paused)).toBe(10_000);
  });

  test('work by the clock ends when its time is up, a pause apart', () => {
    const conditions = { ...PLAN.conditions, workMs: 6000 };
    const running = withPlan({ conditions, reps: 50 }, ...rep('r1', 3000));
    expect(running).toMatchObject({ state: 'waiting', workEndsMs: 7500 });
    expect(apply(running, { type: 'time up' })?.state).toBe('complete');
    const late = withPlan({ conditions, reps: 50 }, cued('r1', 7000), press('home', 8800));
    expect(late.state).toBe('complete');
    const idle = [
      { type: 'paused', atMs: 5000 } as const,
      { type: 'resumed', atMs: 8000 } as const,
    ].reduce<Run | null>(apply, running);
    expect(idle?.workEndsMs).toBe(10_500);
  });

  test('called live: what was called is the rep’s target', () => {
    const call = { ...cued('r1', 3000), target: 'B' } as Action;
    const run = withPlan({ cues: [], reps: 2 }, call, press('home', 5000));
    expect(finishedReps(run)).toMatchObject([{ target: 'B' }]);
    expect(run).toMatchObject({ state: 'waiting', ordinal: 2 });
  });

  test('called to a stop, home does not close the rep; the coach does', () => {
    const cues = [{ ...PLAN.cues[0], freezeAt: 'recovery' }, ...PLAN.cues.slice(1)] as Cue[];
    const frozen = withPlan({ cues }, ...rep('r1', 3000));
    expect(frozen.state).toBe('cued');
    expect(apply(frozen, ended(6000))).toMatchObject({ state: 'waiting', ordinal: 2 });
  });

  test('faults and marks go to the open rep, or correct a finished one', () => {
    const fault = (repId: string, newId: string): Action => ({
      type: 'fault seen',
      repId,
      newId,
      fault: 'lean',
    });
    const open = runOf(cued('r1', 3000), fault('r1', 'x'), {
      type: 'marked',
      repId: 'r1',
      newId: 'y',
      marks: { lateRight: true },
    });
    expect(open.open).toMatchObject({ faults: ['lean'], marks: { lateRight: true } });
    const done = runOf(...rep('r1', 3000), fault('r1', 'f1'), fault('f1', 'f2'));
    expect(done.recorded.map(({ id, seenFaults }) => [id, seenFaults])).toEqual([
      ['r1', []],
      ['f1', ['lean']],
      ['f2', []],
    ]);
  });

  const lit = (atMs: number): Action => ({
    type: 'lit',
    cue: { name: 'cue', atMs, sdMs: 3, source: 'sensor' },
  });

  test('the cue counts from the first thing that showed it', () => {
    const cueOf = (...actions: Action[]) => eventOf(runOf(...actions).open.events, 'cue')?.atMs;
    expect(cueOf(lit(2990), cued('r1', 3000))).toBe(2990);
    expect(cueOf(cued('r1', 3000), lit(2990))).toBe(2990);
    expect(cueOf(cued('r1', 3000), lit(3010))).toBe(3000);
    // Lit twice, whichever was heard of first.
    expect(cueOf(lit(2500), lit(2990), cued('r1', 3000))).toBe(2500);
    expect(cueOf(lit(2990), lit(2500), cued('r1', 3000))).toBe(2500);
  });

  test('what a light and a mat noticed before this screen showed the cue is of the rep all the same', () => {
    const noticed = (name: EventName, atMs: number) =>
      ({ name, atMs, sdMs: 4, source: 'sensor' }) as const;
    const place = (run: Run, at: string, event: ReturnType<typeof noticed>): Run => {
      const action = placeEvent(run, at, event, () => 'never');
      return (action && apply(run, action)) ?? run;
    };
    let run = runOf(lit(3000));
    // One that is before the light, or at another target, is of no rep.
    expect(placeEvent(run, 'A', noticed('arrival', 2900), () => 'never')).toBeNull();
    expect(placeEvent(run, 'B', noticed('arrival', 3900), () => 'never')).toBeNull();
    run = place(run, 'home', noticed('firstMove', 3230));
    run = place(run, 'A', noticed('arrival', 3900));
    // Home before the cue was shown here cannot close what has no name yet.
    expect(place(run, 'home', noticed('home', 4800))).toBe(run);
    run = apply(run, cued('r1', 4000)) ?? run;
    run = place(run, 'A', noticed('action', 4030));
    run = place(run, 'home', noticed('home', 5000));
    const [only] = finishedReps(run);
    expect(only && readRep(only, settingsOf(run.plan))).toMatchObject({
      leftOut: null,
      durations: { reaction: { ms: 230 }, recovery: { ms: 970 } },
    });
  });
});

describe('where a device’s event belongs', () => {
  let made = 0;
  const newId = () => `new ${++made}`;
  const event = (name: EventName, atMs: number) =>
    ({ name, atMs, sdMs: 4, source: 'sensor' }) as const;
  const late = (run: Run, place: string, what: ReturnType<typeof event>) => {
    const action = placeEvent(run, place, what, newId);
    return action && apply(run, action);
  };

  test('to the rep that is going on, if it is its target', () => {
    const run = runOf(cued('r1', 3000));
    expect(placeEvent(run, 'A', event('arrival', 3900), newId)).toMatchObject({ type: 'event' });
    expect(placeEvent(run, 'B', event('arrival', 3900), newId)).toBeNull();
  });

  test('to a finished rep when it came late, as a correction that can be', () => {
    const run = runOf(cued('r1', 3000), press('home', 5000));
    const found = late(run, 'A', event('arrival', 3900));
    expect(found && finishedReps(found)[0]).toMatchObject({ replaces: 'r1' });
    expect(found && finishedReps(found)[0]?.events.map(({ name }) => name)).toContain('arrival');
    // One that is known already, or would come after home, changes nothing.
    expect(found && late(found, 'A', event('arrival', 3950))).toBe(found);
    expect(placeEvent(run, 'A', event('arrival', 5100), newId)).toBeNull();
  });

  test('between home and the next cue only a move, and it is early', () => {
    const run = runOf(...rep('r1', 3000));
    expect(placeEvent(run, 'home', event('firstMove', 5500), newId)).toMatchObject({
      type: 'event',
    });
    expect(placeEvent(run, 'A', event('arrival', 5500), newId)).toBeNull();
    expect(placeEvent(run, 'A', event('action', 3700), newId)).toMatchObject({
      type: 'event found',
    });
  });
});

describe('what the server is told', () => {
  const sent = (...actions: Action[]) => {
    const paths: string[] = [];
    let run: Run | null = null;
    for (const action of [started, ...actions]) {
      const after: Run | null = apply(run, action);
      if (after && after !== run)
        paths.push(...outgoing(run, after, action).map(({ path }) => path));
      run = after;
    }
    return paths.map((path) => path.replace(`clubs/club/sets/${PLAN.id}`, 'set'));
  };

  test('the set goes before its first rep, the end after the last', () => {
    expect(sent(...rep('r1', 3000), ...rep('r2', 7000), { type: 'ended', at: 'now' })).toEqual([
      'set',
      'set/reps/r1',
      'set/reps/r2',
      'set/end',
    ]);
  });

  test('a set without a finished rep is never heard of', () => {
    expect(sent(cued('r1', 3000), press('firstMove', 3200), { type: 'ended', at: 'now' })).toEqual(
      [],
    );
  });
});

describe('a pace that moves by itself', () => {
  const pace = {
    ...{ kind: 'staircase' as const, everyMs: 3000 },
    steps: { passesInARow: 2, stepMs: 400, leastStepMs: 100, reversals: 4 },
  };
  const cues = Array.from({ length: 6 }, (_, i) => ({
    ...{ ordinal: i + 1, target: i % 2 ? 'B' : 'A', foreperiodMs: 1000 },
  }));
  const plan: DrillPlan = {
    ...PLAN,
    ...{ cues, reps: 6, conditions: { ...PLAN.conditions, pace } },
  };
  /** Reps cued at these moments, each home so long after. */
  const played = (...reps: [cueMs: number, cycleMs: number][]): Run => {
    const run = replay([
      { type: 'started', plan },
      ...reps.flatMap(([cueMs, cycleMs], i) => [
        cued(`r${i}`, cueMs),
        press('home', cueMs + cycleMs),
      ]),
    ]);
    if (!run) throw new Error('no run');
    return run;
  };

  test('begins as it was chosen; its first cue waits as any first cue does', () => {
    expect(everyMsNow(played())).toBe(3000);
    expect(cueDueMs(played())).toBe(1500 + 1000);
  });

  test('quickens after its passes, eases after a rep that was not home in time', () => {
    const quick = played([3000, 1500], [6000, 1500]);
    expect(staircaseOf(quick)).toMatchObject({ nextMs: 2600, row: 0, reversalsMs: [] });
    expect(cueDueMs(quick)).toBe(6000 + 2600);
    const slow = played([3000, 1500], [6000, 1500], [8600, 2590]);
    // 10 ms inside its pace by hand: as likely as not, and so it counts for in time.
    expect(everyMsNow(slow)).toBe(2600);
    const late = played([3000, 1500], [6000, 1500], [8600, 2700]);
    expect(staircaseOf(late)).toMatchObject({ nextMs: 2800, reversalsMs: [2600] });
  });

  test('a rep struck out moves it no more', () => {
    const run = played([3000, 1500], [6000, 1500]);
    const struck = apply(run, { type: 'struck', repId: 'r1', newId: 'x1' });
    expect(everyMsNow(struck ?? run)).toBe(3000);
  });

  test('another pace stays what it is, and one’s own has none', () => {
    expect(staircaseOf(runOf(...rep('r1', 3000)))).toBeNull();
    expect(everyMsNow(runOf(...rep('r1', 3000)))).toBeNull();
  });
});

test('limits of the athlete’s own are sent with the set', () => {
  const limitsMs = { recovery: 990 };
  const run = replay([{ type: 'started', plan: { ...PLAN, limitsMs } }]);
  expect(run && setBody(run).limitsMs).toEqual(limitsMs);
});
