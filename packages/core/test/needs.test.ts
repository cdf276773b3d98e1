import { needOf, SQUAD_NEEDS, type Answer, type Claims } from '@orthokin/core/progress';
import { COURSE_DURATIONS, LATELY_DAYS, shortCourse, type CourseSet } from '@orthokin/core/stats';
import fc from 'fast-check';

const DAY_MS = 86_400_000;
const NOW = Date.UTC(2026, 10, 27, 18);
const SILENT: Claims = { change: null, slowerSide: null, isNewLean: false, isStuck: false };

describe('what an athlete needs the coach for', () => {
  const need = (claims: Partial<Claims>, answer: Answer | null = 'stay', daysAgo = 1) =>
    needOf(
      {
        ...{ answer, claims: { ...SILENT, ...claims } },
        standing: { lastTimedMs: NOW - daysAgo * DAY_MS },
      },
      NOW,
    );

  test.each([
    ['can move up', need({ isStuck: true, change: 'slower' }, 'move up', 30)],
    ['held', need({ isStuck: true, isNewLean: true })],
    ['changed', need({ change: 'slower' }, 'stay', 30)],
    ['changed', need({ isNewLean: true })],
    ['not seen lately', need({ change: 'faster' }, 'stay', LATELY_DAYS + 0.1)],
    ['on their way', need({ change: 'faster' }, 'stay', LATELY_DAYS - 0.1)],
    ['on their way', need({}, null)],
  ])('%s', (wanted, found) => {
    expect(found).toBe(wanted);
  });

  test('who was never timed needs nothing yet, whatever is claimed', () => {
    const claims = { ...SILENT, isStuck: true };
    const found = needOf({ answer: 'move up', claims, standing: { lastTimedMs: null } }, NOW);
    expect(found).toBe(SQUAD_NEEDS.at(-1));
  });
});

describe('the newest days at a glance', () => {
  const set = (
    day: number,
    mediansMs: CourseSet['figures']['mediansMs'],
    more: Partial<CourseSet> = {},
  ): CourseSet => ({
    ...{ setId: `${day}`, atMs: NOW + day * DAY_MS, rung: 1, seed: day },
    day: new Date(NOW + day * DAY_MS).toISOString().slice(0, 10),
    ...{ patternId: 'star', patternVersion: 1, source: 'hand' },
    sense: 'heard',
    figures: {
      ...{ counted: 10, cued: 10, falseStarts: 0, clean: 10, catchHeld: 0, catchOf: 0 },
      ...{ mediansMs, sidesPercent: null },
    },
    ...more,
  });

  test('are those of the duration asked for, else of the first that is limited and was timed', () => {
    const sets = [set(0, { recovery: 1300, cycle: 2700 }), set(3, { recovery: 1250, cycle: 2600 })];
    expect(shortCourse(sets, 'cycle', { recovery: 1200 })).toEqual({
      ...{ duration: 'cycle', limitMs: null, daysMs: [2700, 2600] },
    });
    expect(shortCourse(sets, 'technique', { reaction: 300, recovery: 1200 })).toEqual({
      ...{ duration: 'recovery', limitMs: 1200, daysMs: [1300, 1250] },
    });
    expect(shortCourse(sets, 'reaction', {})?.duration).toBe('cycle');
    expect(shortCourse([], 'cycle', {})).toBeNull();
    expect(shortCourse([set(0, {})], 'cycle', {})).toBeNull();
  });

  test('other kinds of sets and eased ones are left out; of many days the newest stand', () => {
    const many = Array.from({ length: 20 }, (_, i) => set(i, { cycle: 3000 - i }));
    const sets = [
      ...many,
      set(21, { cycle: 1 }, { eased: true }),
      set(1, { cycle: 2 }, { source: 'sensor', atMs: NOW - DAY_MS }),
    ].sort((a, b) => a.atMs - b.atMs);
    const found = shortCourse(sets, null, { cycle: 2500 });
    expect(found?.daysMs).toEqual(many.slice(-12).map((_, i) => 2992 - i));
  });

  test('a day is one point, whatever was timed', () => {
    const one = fc.tuple(
      fc.nat(40),
      fc.constantFrom(...COURSE_DURATIONS),
      fc.integer({ min: 1, max: 9000 }),
    );
    fc.assert(
      fc.property(fc.array(one), (given) => {
        const sets = given
          .map(([day, name, ms]) => set(day, { [name]: ms }))
          .sort((a, b) => a.atMs - b.atMs);
        const found = shortCourse(sets, null, {});
        const days = new Set(given.filter(([, name]) => name === 'cycle').map(([day]) => day));
        expect(found?.daysMs.length ?? 0).toBe(Math.min(12, days.size));
      }),
    );
  });
});
