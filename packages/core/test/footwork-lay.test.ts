import fc from 'fast-check';
import { distance, HOME, midpoint, type Target } from '@orthokin/core/floor';
import {
  checkFootwork,
  layLeg,
  outTimes,
  rhythmOf,
  stepsOf,
  usualPlan,
  type CheckName,
} from '@orthokin/core/footwork';
import {
  arrivalMs,
  homeMs,
  legOf,
  loadIndex,
  mirrorPattern,
  positionOf,
  TYPICAL_BUILD,
  type Leg,
  type LegPlan,
} from '@orthokin/core/pattern';
import { anyDistance, anyHand, anyLayout, anyPattern, bare, laid } from './patterns.js';

const wideRight: Target = {
  ...{ letter: 'A', name: 'wide right', kind: 'wide', shape: 'circle', colour: 'blue' },
  ...{ at: { x: 2.4, y: 0 }, radiusM: 0.25 },
} as const;

const floor = { ...bare('line', 2.4), targets: [wideRight] };
const leg = (plan: Partial<LegPlan>) =>
  layLeg(floor, wideRight, { ...usualPlan(wideRight), ...plan });
const feetOf = (plan: Partial<LegPlan>, phase: string) =>
  leg(plan).placements.filter((placement) => placement.phase === phase);

test('laid as usual, no layout at any size has anything amiss, for either hand', () => {
  fc.assert(
    fc.property(anyLayout, anyDistance, anyHand, (layout, metres, hand) => {
      fc.pre(layout !== 'box' || metres > 3.2);
      expect(checkFootwork(laid(bare(layout, metres, hand)))).toEqual([]);
    }),
  );
});

test('however it is laid, a leg has every position, splits in time, loads the right leg and gets home', () => {
  const never: CheckName[] = [
    ...(['position missing', 'split window', 'split uneven', 'loading side'] as const),
    ...(['short of home', 'step too fast', 'not quickening', 'feet crossing'] as const),
  ];
  fc.assert(
    fc.property(anyPattern, (pattern) => {
      const found = checkFootwork(pattern).map(({ check }) => check);
      expect(found.filter((check) => never.includes(check))).toEqual([]);
    }),
  );
});

test('landings are in order, feet of a run alternate, and a leg ends in its stance', () => {
  fc.assert(
    fc.property(anyPattern, ({ legs, stance }) => {
      for (const { placements, travel, firstMoveMs, actionMs, departureMs } of legs) {
        const times = placements.map(({ atMs }) => atMs);
        expect(times).toEqual([...times].sort((a, b) => a - b));
        const out = placements.filter(({ phase }) => phase === 'travel');
        if (travel !== 'hop load') expect(out.every(({ atMs }) => atMs > firstMoveMs)).toBe(true);
        for (const [i, { foot }] of out.entries()) expect(foot).not.toBe(out[i + 1]?.foot);
        expect(actionMs).toBeLessThan(departureMs);
        const last = placements.slice(-2);
        for (const { foot, at } of last) expect(at).toEqual(stance[foot].at);
      }
    }),
  );
});

test('laying for the other hand on the other side is the mirror of laying', () => {
  fc.assert(
    fc.property(anyPattern, (pattern) => {
      const mirrored = mirrorPattern(pattern);
      for (const { target, travel, load, recover, intent, quicken } of pattern.legs) {
        const there = mirrored.targets.find(({ letter }) => letter === target);
        const again =
          there && layLeg(mirrored, there, { target, travel, load, recover, intent, quicken });
        // Both feet of a split land at once: which comes first in the list means nothing.
        const afterSplit = (leg?: Leg) => leg?.placements.slice(2) ?? [];
        const steps = (leg?: Leg) =>
          afterSplit(leg).map(({ foot, kind, atMs }) => [foot, kind, atMs]);
        const expected = legOf(mirrored, target);
        expect(steps(again)).toEqual(steps(expected));
        for (const [i, { at }] of afterSplit(again).entries())
          expect(distance(at, afterSplit(expected)[i]?.at ?? HOME)).toBeLessThan(1e-9);
      }
    }),
    { numRuns: 40 },
  );
});

test.each([
  ['crossover out', 'left', 'crossover'],
  ['drop-step and run back', 'right', 'drop'],
] as const)('%s to the right begins with the %s foot', (travel, foot, kind) => {
  expect(feetOf({ travel }, 'travel')[0]).toMatchObject({ foot, kind });
});

test('the outside leg is loaded, on the marker; a closed lunge reaches across with the inside leg', () => {
  expect(feetOf({ load: 'open' }, 'load')).toMatchObject([{ foot: 'right', at: { x: 2.4, y: 0 } }]);
  expect(feetOf({ travel: 'lunge', load: 'open' }, 'load')[0]).toMatchObject({
    foot: 'right',
    kind: 'lunge',
  });
  expect(feetOf({ travel: 'lunge', load: 'closed' }, 'load')[0]?.foot).toBe('left');
});

test('neutral and closed stances step in after the plant; closed steps across', () => {
  const [planted, stepIn] = feetOf({ load: 'neutral' }, 'load');
  expect([planted?.foot, stepIn?.foot]).toEqual(['right', 'left']);
  expect(stepIn?.at.x).toBeCloseTo(2.4, 6);
  expect(feetOf({ load: 'closed' }, 'load')[1]?.at.x).toBeGreaterThan(2.5);
});

test('a hop lands on both feet at once', () => {
  const [first, second] = feetOf({ travel: 'hop load' }, 'load');
  expect(first?.atMs).toBe(second?.atMs);
  expect(first?.foot).not.toBe(second?.foot);
});

test('the reach of the athlete keeps the feet off the contact point', () => {
  const reaching = { ...floor, laidFor: { ...TYPICAL_BUILD, reachM: 0.7 } };
  const { placements } = layLeg(reaching, wideRight, usualPlan(wideRight));
  expect(placements.find(({ phase }) => phase === 'load')?.at.x).toBeCloseTo(1.7, 6);
});

test('steps follow from distance and stride; the last before the load is the shorter', () => {
  const steps = (strideM: number) =>
    layLeg(
      { ...floor, laidFor: { ...TYPICAL_BUILD, strideM } },
      { ...wideRight, at: { x: 5, y: 0 } },
      {
        ...usualPlan(wideRight),
        travel: 'run forward',
      },
    ).placements.filter(({ phase }) => phase === 'travel').length;
  expect(steps(1)).toBeGreaterThan(steps(2));
  const run = leg({ travel: 'run forward' });
  const travel = stepsOf(floor, run).filter(({ placement }) => placement.phase === 'travel');
  const [before, last] = travel.slice(-2);
  expect(last?.lengthM).toBeLessThan(before?.lengthM ?? 0);
});

test('times come from the travel model: a slower athlete arrives later, and home later still', () => {
  const slow = {
    ...floor,
    laidFor: { ...TYPICAL_BUILD, travel: { acceleration: 6, topSpeed: 3 } },
  };
  const [quick, late] = [floor, slow].map((on) => layLeg(on, wideRight, usualPlan(wideRight)));
  if (!quick || !late) throw new Error('no leg');
  expect(arrivalMs(late) ?? 0).toBeGreaterThan(arrivalMs(quick) ?? 0);
  const ways = [quick, late].map((each) => (homeMs(each) ?? 0) - each.departureMs);
  expect(ways[1]).toBeGreaterThan(ways[0] ?? 0);
});

test('asked to quicken, the steps out do', () => {
  const far = { ...wideRight, at: { x: 5, y: 0 } };
  const times = (quicken: boolean) =>
    outTimes(layLeg(floor, far, { ...usualPlan(far), travel: 'run forward', quicken }));
  expect(rhythmOf(times(true)).quickens).toBe(true);
  expect(rhythmOf(times(false)).quickens).toBe(false);
  expect(times(true).at(-1)).toBeCloseTo(times(false).at(-1) ?? 0, -2);
});

test('laying again keeps what was written about the positions', () => {
  const written = {
    ...leg({}),
    notes: { load: { cue: 'Sit', checkPoints: ['low'] }, action: { cue: '', checkPoints: [] } },
  };
  expect(layLeg(floor, wideRight, usualPlan(wideRight), written).notes).toEqual(written.notes);
});

test('the load is reached in balance: both feet about the line home', () => {
  const pattern = laid(bare('star', 2.5));
  for (const each of pattern.legs) {
    const load = positionOf(pattern, each, 'load');
    const target = pattern.targets.find(({ letter }) => letter === each.target);
    expect(loadIndex(each)).toBeGreaterThan(0);
    expect(
      load && target && distance(midpoint(load.left.at, load.right.at), target.at),
    ).toBeLessThan(0.6);
  }
});
