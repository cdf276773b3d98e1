import fc from 'fast-check';
import {
  overDays,
  practisedInWeek,
  sixWeeks,
  weekAtHome,
  type Programme,
} from '@orthokin/core/plan';

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

test('minutes of a week are those of its days, of nobody else', () => {
  const practised = [
    { athleteId: 'anna', day: '2026-03-01', minutes: 5 },
    { athleteId: 'anna', day: '2026-03-02', minutes: 15 },
    { athleteId: 'ben', day: '2026-03-04', minutes: 30 },
    { athleteId: 'anna', day: '2026-03-08', minutes: 10 },
  ];
  expect(practisedInWeek(practised, 'anna', '2026-03-05')).toBe(25);
  expect(practisedInWeek([], 'anna', '2026-03-05')).toBe(0);
});
