import fc from 'fast-check';
import {
  CATCH_FROM_CM,
  catcherAfter,
  catchPairs,
  TEAMS,
  teamsOf,
  type Call,
} from '@orthokin/core/plan';

const names = (n: number): string[] => Array.from({ length: n }, (_, i) => `athlete ${i + 1}`);

describe('catching', () => {
  const caught: Call = { toCatch: ['anna'], missed: [] };
  const missed: Call = { toCatch: ['anna'], missed: ['anna'] };

  test('a catch sends a step back, a miss a step up; the farthest caught counts', () => {
    expect(catcherAfter('anna', [caught, caught, missed])).toEqual({
      ...{ athleteId: 'anna', distanceCm: 125, bestCm: 125, tries: 3 },
    });
    expect(catcherAfter('ben', [caught, missed])).toEqual({
      ...{ athleteId: 'ben', distanceCm: CATCH_FROM_CM.begin, bestCm: 0, tries: 0 },
    });
  });

  test('nobody comes nearer than the nearest, and only what was caught is ever the best', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(caught, missed), { maxLength: 30 }), (calls) => {
        const { distanceCm, bestCm, tries } = catcherAfter('anna', calls);
        expect(distanceCm).toBeGreaterThanOrEqual(CATCH_FROM_CM.nearest);
        expect(bestCm > 0).toBe(calls.includes(caught));
        expect(tries).toBe(calls.length);
      }),
    );
  });

  test('everybody is in a pair, an odd one makes three, and each catches as often as the others', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 25 }), fc.integer({ min: 0, max: 9 }), (n, call) => {
        const pairs = catchPairs(names(n), call);
        const inThem = pairs.flatMap(({ catches, drops }) => [catches, ...drops]);
        expect(inThem.sort()).toEqual(names(n).sort());
        const [last = 0, ...others] = pairs.map(({ drops }) => drops.length).reverse();
        expect(others.every((count) => count === 1)).toBe(true);
        expect(last).toBe(n % 2 === 1 ? 2 : 1);
        const six = Array.from({ length: 6 }, (_, i) => catchPairs(names(n), i)).flat();
        const times = (id: string) => six.filter(({ catches }) => catches === id).length;
        for (const { catches, drops } of pairs)
          for (const id of drops) expect(times(id)).toBe(times(catches));
      }),
    );
    expect(catchPairs(['anna'], 0)).toEqual([{ catches: 'anna', drops: [] }]);
    expect(catchPairs([], 3)).toEqual([]);
  });
});

test('teams take everybody, differ by one at most, and are alike where the list goes from best to least', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 40 }),
      fc.integer({ min: TEAMS[0], max: TEAMS[1] }),
      (n, of) => {
        const teams = teamsOf(names(n), of).map(({ athleteIds }) => athleteIds);
        expect(teams.flat().sort()).toEqual(names(n).sort());
        const sizes = teams.map(({ length }) => length);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      },
    ),
  );
  const placesOf = ({ athleteIds }: { athleteIds: readonly string[] }) =>
    athleteIds.reduce((sum, id) => sum + Number(id.split(' ')[1]), 0);
  expect(teamsOf(names(8), 2).map(placesOf)).toEqual([18, 18]);
});
