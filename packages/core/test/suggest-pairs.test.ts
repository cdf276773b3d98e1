import { layoutTargets } from '@orthokin/core/pattern';
import { likenessOf, suggestPairs, type CourseSet } from '@orthokin/core/stats';
import fc from 'fast-check';

const STAR = layoutTargets('star', 3);
const LINE = layoutTargets('line', 3);

const courseSet = (
  i: number,
  cycle: number | undefined,
  rung = 2,
  source: CourseSet['source'] = 'sensor',
): CourseSet => ({
  ...{ setId: `set-${i}`, atMs: i * 86_400_000, day: `2026-11-${String(i + 1).padStart(2, '0')}` },
  ...{ patternId: 'star', patternVersion: 1, rung, source, sense: 'heard', seed: i },
  figures: {
    ...{ counted: 12, cued: 12, falseStarts: 0, clean: 12, catchHeld: 0, catchOf: 0 },
    mediansMs: cycle === undefined ? {} : { cycle },
    sidesPercent: null,
  },
});

describe('what is worth laying side by side', () => {
  test('first, best and newest of what is alike to the newest, and the sides of the last few', () => {
    const sets = [
      courseSet(0, 2100, 1),
      courseSet(1, 2000),
      courseSet(2, 1700),
      courseSet(3, 1600, 2, 'hand'),
      courseSet(4, 1900),
    ];
    const pairs = suggestPairs(sets, () => STAR);
    expect(
      pairs.slice(0, 3).map(({ of, sides }) => [of, sides[0].setIds, sides[1].setIds]),
    ).toEqual([
      ['first and newest', ['set-1'], ['set-4']],
      ['best and newest', ['set-2'], ['set-4']],
      ['left and right', ['set-1', 'set-2', 'set-4'], ['set-1', 'set-2', 'set-4']],
    ]);
    const mirrors = pairs.filter(({ of }) => of === 'mirror');
    expect(mirrors).toHaveLength(3);
    expect(new Set(pairs.map(({ duration }) => duration))).toEqual(new Set(['cycle']));
  });

  test('nothing where nothing was timed, no mirror where the sides are the mirror already', () => {
    expect(suggestPairs([], () => STAR)).toEqual([]);
    expect(suggestPairs([courseSet(0, undefined)], () => STAR)).toEqual([]);
    expect(suggestPairs([courseSet(0, 1800)], () => LINE).map(({ of }) => of)).toEqual([
      'left and right',
    ]);
    expect(suggestPairs([courseSet(0, 1800)], () => [])).toEqual([]);
  });

  test('a pair is never a set with itself, and always of one kind and rung', () => {
    const sets = fc.array(
      fc.tuple(fc.integer({ min: 1000, max: 3000 }), fc.integer({ min: 1, max: 3 })),
      { minLength: 1, maxLength: 12 },
    );
    fc.assert(
      fc.property(sets, (given) => {
        const all = given.map(([cycle, rung], i) => courseSet(i, cycle, rung));
        const likeness = (id: string) => {
          const found = all.find(({ setId }) => setId === id);
          return found && likenessOf(found);
        };
        for (const { sides } of suggestPairs(all, () => STAR)) {
          const [a, b] = sides;
          expect(new Set([...a.setIds, ...b.setIds].map(likeness)).size).toBe(1);
          expect(JSON.stringify(a)).not.toBe(JSON.stringify(b));
        }
      }),
    );
  });
});
