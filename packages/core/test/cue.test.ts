import fc from 'fast-check';
import {
  normal,
  exponential,
  seededRandom,
  shuffled,
  shuffledSchedule,
  type ScheduleSettings,
} from '@orthokin/core/cue';
import { mean, sd } from '@orthokin/core/stats';

const settings: ScheduleSettings = {
  targets: ['A', 'B', 'C', 'D', 'E', 'F'],
  reps: 20,
  maxRun: 1,
  foreperiodMs: [800, 1600],
};

function scheduleOf(given: ScheduleSettings, seed: number) {
  const schedule = shuffledSchedule(given, seededRandom(seed));
  if (!schedule.ok) throw new Error(schedule.problem.allowed);
  return schedule.value;
}

const anySettings = fc.record({
  targets: fc.constantFrom('AB', 'ABC', 'ABCD', 'ABCDEF').map((letters) => letters.split('')),
  reps: fc.integer({ min: 1, max: 60 }),
  maxRun: fc.integer({ min: 1, max: 3 }),
  foreperiodMs: fc.constant([500, 1500] as const),
});

describe('seeded random numbers', () => {
  test('the same seed gives the same stream, another seed another', () => {
    const take = (seed: number) => Array.from({ length: 50 }, seededRandom(seed));
    expect(take(7)).toEqual(take(7));
    expect(take(7)).not.toEqual(take(8));
    expect(take(7).every((x) => x >= 0 && x < 1)).toBe(true);
  });

  test('samples have the mean and spread they were asked for', () => {
    const random = seededRandom(11);
    const normals = Array.from({ length: 20_000 }, () => normal(random, 250, 30));
    expect(mean(normals)).toBeCloseTo(250, 0);
    expect(sd(normals)).toBeCloseTo(30, 0);
    expect(mean(Array.from({ length: 20_000 }, () => exponential(random, 40)))).toBeCloseTo(
      40,
      -0.5,
    );
  });

  test('shuffling keeps every item and leaves the input alone', () => {
    fc.assert(
      fc.property(fc.array(fc.nat()), fc.nat(), (items, seed) => {
        const before = [...items];
        expect(shuffled(items, seededRandom(seed)).sort()).toEqual([...items].sort());
        expect(items).toEqual(before);
      }),
    );
  });
});

describe('a shuffled schedule', () => {
  test('a single target may be cued as often as a run may last', () => {
    const one = scheduleOf({ ...settings, targets: ['A'], reps: 3, maxRun: 3 }, 1);
    expect(one.map(({ target }) => target)).toEqual(['A', 'A', 'A']);
  });

  test('foreperiods fill their range rather than cluster', () => {
    const times = scheduleOf({ ...settings, reps: 200 }, 2).map(({ foreperiodMs }) => foreperiodMs);
    expect(Math.min(...times)).toBeLessThan(850);
    expect(Math.max(...times)).toBeGreaterThan(1550);
    expect(mean(times)).toBeGreaterThan(1150);
    expect(mean(times)).toBeLessThan(1250);
  });

  test('is the same for the same seed', () => {
    expect(scheduleOf(settings, 3)).toEqual(scheduleOf(settings, 3));
    expect(scheduleOf(settings, 3)).not.toEqual(scheduleOf(settings, 4));
  });

  test('holds every target once a block, keeps maxRun, and foreperiods within their bounds', () => {
    fc.assert(
      fc.property(anySettings, fc.nat(), (given, seed) => {
        const cues = scheduleOf(given, seed);
        const n = given.targets.length;
        expect(cues.map(({ ordinal }) => ordinal)).toEqual(cues.map((_, i) => i + 1));
        for (let start = 0; start + n <= cues.length; start += n)
          expect(
            cues
              .slice(start, start + n)
              .map(({ target }) => target)
              .sort(),
          ).toEqual(given.targets);
        for (let start = 0; start + given.maxRun < cues.length; start++)
          expect(
            new Set(cues.slice(start, start + given.maxRun + 1).map(({ target }) => target)).size,
          ).toBeGreaterThan(1);
        for (const { foreperiodMs } of cues) {
          expect(foreperiodMs).toBeGreaterThanOrEqual(500);
          expect(foreperiodMs).toBeLessThanOrEqual(1500);
        }
      }),
    );
  });

  test.each<[string, Partial<ScheduleSettings>]>([
    ['targets', { targets: [] }],
    ['targets', { targets: ['A', 'A'] }],
    ['reps', { reps: 0 }],
    ['reps', { reps: 201 }],
    ['maxRun', { maxRun: 0 }],
    ['maxRun', { targets: ['A'] }],
    ['foreperiodMs', { foreperiodMs: [900, 800] }],
    ['foreperiodMs', { foreperiodMs: [NaN, 800] }],
  ])('names %s when it cannot be made from %o', (field, change) => {
    const schedule = shuffledSchedule({ ...settings, ...change }, seededRandom(1));
    expect(schedule).toMatchObject({ ok: false, problem: { field } });
  });
});
