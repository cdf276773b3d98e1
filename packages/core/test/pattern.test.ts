import fc from 'fast-check';
import { COURTS, courtOnFloor, heading, sideOf } from '@orthokin/core/floor';
import {
  LAYOUTS,
  layoutTargets,
  mirrorPattern,
  targetOf,
  type Pattern,
} from '@orthokin/core/pattern';

const size = { wideM: 2.4, shortM: 3, deepM: 2.5 };
const star: Pattern = {
  name: 'Star',
  court: 'squash',
  home: { onCourt: { x: 0, y: 4.26 }, radiusM: 0.5 },
  targets: layoutTargets('star', size),
  splitWindowMs: [-20, 120],
  rungs: [],
};

test.each(LAYOUTS)('%s gives every target its own letter, shape and place', (layout) => {
  const targets = layoutTargets(layout, size);
  for (const key of ['letter', 'shape', 'colour', 'name'] as const)
    expect(new Set(targets.map((target) => target[key])).size).toBe(targets.length);
});

test('a mirrored pattern swaps the sides in place and in name', () => {
  const mirrored = mirrorPattern(star);
  expect(targetOf(star, 'A')).toMatchObject({ name: 'short right', at: { x: 2.4, y: 3 } });
  expect(targetOf(mirrored, 'A')).toMatchObject({ name: 'short left', at: { x: -2.4, y: 3 } });
});

test('mirrored twice equals the original', () => {
  const metres = fc.double({ min: 0.1, max: 6, noNaN: true });
  fc.assert(
    fc.property(
      fc.constantFrom(...LAYOUTS),
      metres,
      metres,
      metres,
      (layout, wideM, shortM, deepM) => {
        const pattern = { ...star, targets: layoutTargets(layout, { wideM, shortM, deepM }) };
        expect(mirrorPattern(mirrorPattern(pattern))).toEqual(pattern);
      },
    ),
  );
});

test('the court is seen from home base', () => {
  const court = courtOnFloor(COURTS.squash, star.home.onCourt);
  expect(court.backLeft).toEqual({ x: -3.2, y: -4.26 });
  expect(court.frontRight.y).toBeCloseTo(5.49, 9);
  expect(court.lines[0]?.from.y).toBe(0);
});

test('headings run clockwise from forward; straight ahead is no side', () => {
  const from = { x: 0, y: 0 };
  expect([
    heading(from, { x: 0, y: 1 }),
    heading(from, { x: 1, y: 0 }),
    heading(from, { x: -1, y: 0 }),
  ]).toEqual([0, 90, -90]);
  expect([sideOf({ x: -1, y: 0 }), sideOf({ x: 0.1, y: 3 }), sideOf({ x: 1, y: 0 })]).toEqual([
    'left',
    null,
    'right',
  ]);
});
