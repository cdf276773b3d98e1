import fc from 'fast-check';
import { mirrorPattern } from '@orthokin/core/pattern';
import { overDays, sixWeeks, spaceNeeded, weekAtHome, type Programme } from '@orthokin/core/plan';
import { anyPattern, bare } from './patterns.js';

describe('what practice at home needs', () => {
  test('the floor is as wide as the markers and a metre round them', () => {
    const pattern = { ...bare('lane', 3), home: { ...bare('lane', 3).home, radiusM: 0.4 } };
    const targets = [
      { ...pattern.targets[0], at: { x: 0, y: 3 }, radiusM: 0.3 },
      { ...pattern.targets[0], at: { x: -1, y: -2 }, radiusM: 0.3 },
    ] as typeof pattern.targets;
    const { acrossM, deepM } = spaceNeeded({ ...pattern, targets });
    expect(acrossM).toBeCloseTo(2 + 1.3 + 0.4);
    expect(deepM).toBeCloseTo(2 + 5.6);
    expect(spaceNeeded({ ...pattern, targets: [] })).toEqual({ acrossM: 2.8, deepM: 2.8 });
  });

  test('mirrored it is the same floor', () => {
    fc.assert(
      fc.property(anyPattern, (pattern) => {
        const [one, other] = [spaceNeeded(pattern), spaceNeeded(mirrorPattern(pattern))];
        expect(other.acrossM).toBeCloseTo(one.acrossM);
        expect(other.deepM).toBeCloseTo(one.deepM);
      }),
    );
  });
});

test('the week of whoever is in it, on its days; of two programmes the newest', () => {
  const programme = (startsOn: string, note: string): Programme => ({
    ...{ name: note, startsOn, athleteIds: ['anna'] },
    weeks: sixWeeks().map((week) => ({ ...week, note })),
  });
  const both = [programme('2026-03-02', 'first'), programme('2026-03-16', 'second')];
  expect(weekAtHome(both, 'anna', '2026-03-12')).toMatchObject({
    ...{ note: 'first', theme: 'one zone', monday: '2026-03-09' },
  });
  expect(weekAtHome(both, 'anna', '2026-03-17')).toMatchObject({ note: 'second', theme: 'test' });
  expect(weekAtHome(both, 'ben', '2026-03-12')).toBeNull();
  expect(weekAtHome(both, 'anna', '2026-09-01')).toBeNull();
});

test('minutes go over days: a quarter of an hour at most while there are days, one of rest', () => {
  expect(overDays(40)).toEqual({ days: 3, minutes: 14 });
  expect(overDays(0)).toEqual({ days: 1, minutes: 0 });
  expect(overDays(600)).toEqual({ days: 6, minutes: 100 });
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 600 }), (minutes) => {
      const { days, minutes: each } = overDays(minutes);
      expect(days * each).toBeGreaterThanOrEqual(minutes);
      expect(days * (each - 1)).toBeLessThan(minutes);
    }),
  );
});
