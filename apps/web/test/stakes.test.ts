import fc from 'fast-check';
import {
  addedSoFar,
  apply,
  finishedReps,
  hasTechniqueGone,
  repsDue,
  type Run as AnyRun,
} from '@orthokin/core/run';
import type { Fault } from '@orthokin/core/timing';
import type { Action, DrillPlan, Run } from '../src/drill/plan.js';
import { PLAN } from './plan.js';
import { cued, press, rep, runOf } from './played.js';

/** Three reps given, and five that lost ones may add. */
const PRESSURE: DrillPlan = {
  ...PLAN,
  conditions: { ...PLAN.conditions, lossCost: { reps: 2, most: 5 } },
  cues: Array.from({ length: 8 }, (_, i) => ({
    ...{ ordinal: i + 1, target: i % 2 ? 'B' : 'A', foreperiodMs: 1000 },
  })),
};
const QUALITY: DrillPlan = {
  ...PLAN,
  conditions: { ...PLAN.conditions, watched: ['lean'], endsOnFaults: true },
};
const seen = (repId: string, newId: string, fault: Fault, atMs = 20_000): Action => ({
  ...{ type: 'fault seen', repId, newId, fault, atMs },
});
const then = (run: Run, ...actions: Action[]): Run =>
  actions.reduce<Run>((now, action) => apply(now, action) ?? now, run);
const missed = (repId: string, atMs: number): Action[] => [
  cued(repId, atMs),
  { type: 'ran out', atMs: atMs + 3000 },
];

describe('a pressure set', () => {
  const THREE = [...rep('r1', 3000), ...rep('r2', 7000), ...rep('r3', 11_000)];

  test('is as long as it is while nothing is lost', () => {
    const run = runOf(THREE, PRESSURE);
    expect([run.state, repsDue(run)]).toEqual(['complete', 3]);
  });

  test('grows with every lost rep, and ends when all of it is done', () => {
    const run = runOf([...missed('r1', 3000), ...THREE.slice(4)], PRESSURE);
    expect([run.state, run.ordinal, repsDue(run), addedSoFar(run)]).toEqual(['waiting', 4, 5, 2]);
    const done = then(run, ...rep('r4', 15_000), ...rep('r5', 19_000));
    expect(done.state).toBe('complete');
  });

  test('a fault said after the last rep opens it again, at a wait from then', () => {
    const run = runOf(THREE, PRESSURE);
    const owing = then(run, seen('r3', 'c1', 'wrong way'));
    expect(owing).toMatchObject({ state: 'waiting', ordinal: 4, readyMs: 20_000 });
    expect(then(owing, seen('c1', 'c2', 'wrong way')).state).toBe('complete');
  });

  test('a rep redone well is owed for no longer; struck out neither', () => {
    const lost = runOf([...missed('r1', 3000), ...THREE.slice(4)], PRESSURE);
    expect(then(lost, { type: 'struck', repId: 'r1', newId: 's1' }).state).toBe('complete');
    const again = runOf(
      [...missed('r1', 3000), { type: 'redone', atMs: 6500 }, ...rep('r1b', 8000)],
      PRESSURE,
    );
    expect(repsDue(again)).toBe(3);
  });

  test('adds nothing to work that lasts a time', () => {
    const conditions = { ...PRESSURE.conditions, workMs: 60_000 };
    expect(addedSoFar(runOf(missed('r1', 3000), { ...PRESSURE, conditions }))).toBe(0);
  });

  test('whatever is lost, it ends, with as many reps as were due and no more than agreed', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }), (losses) => {
        let run: Run = runOf([], PRESSURE);
        losses.forEach((isLost, i) => {
          const at = 3000 + 4000 * i;
          run = then(run, ...(isLost ? missed : rep)(`r${i}`, at));
        });
        expect(run.state).toBe('complete');
        expect(finishedReps(run)).toHaveLength(repsDue(run));
        expect(repsDue(run)).toBeLessThanOrEqual(8);
      }),
    );
  });
});

describe('a quality set', () => {
  const leant = (repId: string, atMs: number): Action[] => [
    cued(repId, atMs),
    seen(repId, `${repId}f`, 'lean'),
    press('home', atMs + 1800),
  ];

  test('ends after two reps running with a watched fault, and says why', () => {
    const run: AnyRun = runOf([...leant('r1', 3000), ...leant('r2', 7000)], QUALITY);
    expect([run.state, hasTechniqueGone(run)]).toEqual(['complete', true]);
    expect(apply(run, { type: 'ended', at: '' })).toMatchObject({ endReason: 'technique went' });
  });

  test('one alone, or one that nobody watches, is nothing', () => {
    expect(runOf([...leant('r1', 3000), ...rep('r2', 7000)], QUALITY).state).toBe('waiting');
    const others = runOf([...rep('r1', 3000), ...rep('r2', 7000)], QUALITY);
    const both = then(others, seen('r1', 'c1', 'detour'), seen('r2', 'c2', 'detour'));
    expect(both.state).toBe('waiting');
  });

  test('said once the next is waited for, it ends there; taken back, the set goes on', () => {
    const waiting = runOf([...leant('r1', 3000), ...rep('r2', 7000)], QUALITY);
    const over = then(waiting, seen('r2', 'c1', 'lean'));
    expect(over.state).toBe('complete');
    expect(then(over, seen('c1', 'c2', 'lean', 30_000))).toMatchObject({
      ...{ state: 'waiting', ordinal: 3, readyMs: 30_000 },
    });
  });
});
