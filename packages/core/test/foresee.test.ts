import {
  drawForeperiod,
  FOREPERIOD_KINDS,
  meanForeperiodMs,
  seededRandom,
} from '@orthokin/core/cue';
import { PLAIN_CONDITIONS } from '@orthokin/core/drill';
import { mean } from '@orthokin/core/numeric';
import { USUAL_RUNG, type Rung } from '@orthokin/core/pattern';
import { foresee, usualTimes, type ComingSet } from '@orthokin/core/progress';
import fc from 'fast-check';

const rung: Rung = {
  ...USUAL_RUNG,
  ...{ number: 2, name: 'Mixed', targets: ['A', 'B', 'C'] },
  limitsMs: { reaction: 420, recovery: 1800 },
};
const coming = (more: Partial<ComingSet> = {}): ComingSet => ({
  ...{ rung, conditions: PLAIN_CONDITIONS, reps: 10, eventSdMs: 45 },
  usualMs: { reaction: 250, recovery: 1200, cycle: 2600 },
  ...more,
});

describe('what a set will not show, foreseen', () => {
  test('nothing is said of a set that can show what it is for', () => {
    expect(foresee(coming())).toEqual([]);
  });

  test('25 s of work at a pace of 4 s give 6 reps where 8 are needed: 35 s would do', () => {
    const conditions = { ...PLAIN_CONDITIONS, workMs: 25_000 };
    expect(foresee(coming({ conditions }))).toEqual([
      { kind: 'too few reps', expected: 6, needed: 8, mend: { workMs: 35_000 } },
    ]);
    const longer = { ...conditions, workMs: 35_000 };
    expect(foresee(coming({ conditions: longer }))).toEqual([]);
    expect(foresee(coming({ conditions, usualMs: {} }))).toEqual([]);
    const fast = { ...conditions, pace: { kind: 'fixed' as const, everyMs: 2500 } };
    expect(foresee(coming({ conditions: fast, usualMs: {} }))).toEqual([]);
  });

  test('reps that are tests are no timed ones', () => {
    const conditions = { ...PLAIN_CONDITIONS, catchShare: 0.2, freezeShare: 0.1 };
    expect(foresee(coming({ conditions, reps: 10 }))).toEqual([
      { kind: 'too few reps', expected: 7, needed: 8, mend: { reps: 12 } },
    ]);
  });

  test('a hand cannot decide a limit near to what the athlete usually takes', () => {
    const near = { ...rung, limitsMs: { reaction: 310 } };
    const usualMs = { reaction: 290, cycle: 2600 };
    const [found] = foresee(coming({ rung: near, usualMs }));
    expect(found).toMatchObject({ kind: 'too close by hand', gate: 'reaction', limitMs: 310 });
    expect(foresee(coming({ rung: near, usualMs, eventSdMs: 0 }))).toEqual([]);
    expect(foresee(coming({ rung: near, usualMs, eventSdMs: null }))).toEqual([]);
  });

  test('cues that give more away than the rung asks are no evidence', () => {
    const conditions = { ...PLAIN_CONDITIONS, order: 'blocked' as const };
    expect(foresee(coming({ conditions }))).toEqual([{ kind: 'cues give away' }]);
  });

  test('what is proposed mends it', () => {
    const share = fc.integer({ min: 0, max: 40 }).map((n) => n / 100);
    fc.assert(
      fc.property(
        fc.record({
          catchShare: share,
          freezeShare: share,
          workS: fc.option(fc.integer({ min: 5, max: 60 })),
          reps: fc.integer({ min: 1, max: 30 }),
          cycle: fc.integer({ min: 900, max: 6000 }),
          needed: fc.integer({ min: 1, max: 20 }),
        }),
        ({ catchShare, freezeShare, workS, reps, cycle, needed }) => {
          const conditions = {
            ...{ ...PLAIN_CONDITIONS, catchShare, freezeShare },
            workMs: workS === null ? null : 1000 * workS,
          };
          const set = coming({
            ...{ conditions, reps, eventSdMs: 0, usualMs: { cycle } },
            rung: { ...rung, minValidReps: needed },
          });
          for (const one of foresee(set)) {
            if (one.kind !== 'too few reps') continue;
            const { mend } = one;
            const mended =
              'reps' in mend
                ? { ...set, reps: mend.reps }
                : { ...set, conditions: { ...conditions, workMs: mend.workMs } };
            expect(foresee(mended)).toEqual([]);
          }
        },
      ),
    );
  });

  test('usual times are the middle of the newest sets, of what was timed in them', () => {
    expect(
      usualTimes([
        { mediansMs: { reaction: 240, cycle: 2500 } },
        { mediansMs: { reaction: 260 } },
        { mediansMs: { reaction: 300, travel: 900 } },
      ]),
    ).toEqual({ reaction: 260, cycle: 2500 });
    expect(usualTimes([])).toEqual({});
  });
});

test.each(FOREPERIOD_KINDS)('the mean of %s foreperiods is that of those drawn', (kind) => {
  const random = seededRandom(3);
  const foreperiod = { kind, leastMs: 800, mostMs: 2400 };
  const drawn = Array.from({ length: 20_000 }, () => drawForeperiod(foreperiod, random));
  expect(Math.abs(mean(drawn) - meanForeperiodMs(foreperiod))).toBeLessThan(10);
});
