import { MOST_PARTS, partOf, SPLIT_KINDS, splitGroup, type Level } from '@orthokin/core/people';
import fc from 'fast-check';

const levels = fc
  .array(
    fc.record({
      rungShare: fc.integer({ min: 0, max: 6 }).map((rung) => rung / 6),
      cycleMs: fc.option(fc.integer({ min: 1500, max: 4000 })),
    }),
    { minLength: 1, maxLength: 40 },
  )
  .map((all): Level[] => all.map((one, i) => ({ ...one, id: `p${String(i).padStart(2, '0')}` })));

const person = (id: string, rungShare: number, cycleMs: number | null = null): Level => ({
  ...{ id, rungShare, cycleMs },
});

test('everybody is in one part, and no part is larger than another by more than one', () => {
  fc.assert(
    fc.property(
      levels,
      fc.integer({ min: 1, max: 12 }),
      fc.constantFrom(...SPLIT_KINDS),
      (all, n, kind) => {
        const parts = splitGroup(all, n, kind);
        expect(parts).toHaveLength(Math.min(n, MOST_PARTS, all.length));
        expect(parts.flatMap(({ ids }) => ids).sort()).toEqual(all.map(({ id }) => id).sort());
        const sizes = parts.map(({ ids }) => ids.length);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      },
    ),
  );
});

test('graded parts do not overlap; even ones are nearer to each other than graded ones', () => {
  fc.assert(
    fc.property(levels, fc.integer({ min: 2, max: 4 }), (some, n) => {
      // Of parts of unequal sizes the smaller one's mean says little.
      const all = some.slice(0, Math.floor(some.length / n) * n);
      const graded = splitGroup(all, n, 'graded');
      for (const [i, { shares }] of graded.slice(1).entries())
        expect(shares[1]).toBeLessThanOrEqual(graded[i]?.shares[0] ?? 1);
      const spread = (parts: ReturnType<typeof splitGroup>) => {
        const means = parts.map(({ meanShare }) => meanShare);
        return Math.max(...means) - Math.min(...means);
      };
      expect(spread(splitGroup(all, n, 'even'))).toBeLessThanOrEqual(spread(graded) + 1e-9);
    }),
  );
});

test('the order in which people are given changes nothing', () => {
  fc.assert(
    fc.property(levels, fc.constantFrom(...SPLIT_KINDS), (all, kind) => {
      expect(splitGroup([...all].reverse(), 3, kind)).toEqual(splitGroup(all, 3, kind));
    }),
  );
});

test('of the same rung the quicker goes first, who was never timed last', () => {
  const all = [
    person('a', 0.5),
    person('b', 0.5, 2000),
    person('c', 0.5, 1800),
    person('d', 1, 3000),
  ];
  expect(splitGroup(all, 2, 'graded').map(({ ids }) => ids)).toEqual([
    ['d', 'c'],
    ['b', 'a'],
  ]);
  expect(splitGroup(all, 2, 'even').map(({ ids }) => ids)).toEqual([
    ['d', 'a'],
    ['c', 'b'],
  ]);
  expect(splitGroup(all, 2, 'graded')[1]).toMatchObject({ meanMs: 2000, shares: [0.5, 0.5] });
});

test('of nobody there is nothing to say', () => {
  expect(splitGroup([], 3, 'even')).toEqual([partOf([])]);
  expect(partOf([])).toEqual({ ids: [], meanShare: 0, shares: [0, 0], meanMs: null });
});
