import fc from 'fast-check';
import { blankPattern, layLeg, usualPlan } from '@orthokin/core/footwork';
import type { Side } from '@orthokin/core/floor';
import {
  LAYOUTS,
  layoutTargets,
  LOAD_STANCES,
  RECOVERY_WAYS,
  TRAVEL_WAYS,
  withLeg,
  type Layout,
  type LegPlan,
  type Pattern,
} from '@orthokin/core/pattern';

/** A pattern on a plain floor with the targets of a preset and no feet yet. */
export const bare = (layout: Layout, metres: number, hand: Side = 'right'): Pattern => ({
  ...blankPattern(layout),
  hand,
  targets: layoutTargets(layout, metres),
});

/** The same with feet laid to every target, as usual but for what `plan` says. */
export const laid = (pattern: Pattern, plan: Partial<LegPlan> = {}): Pattern =>
  pattern.targets.reduce(
    (done, target) => withLeg(done, layLeg(done, target, { ...usualPlan(target), ...plan })),
    pattern,
  );

export const anyHand = fc.constantFrom<Side>('left', 'right');
/** Distances people train over; nearer than this a step or two is all there is. */
export const anyDistance = fc.double({ min: 1.8, max: 5, noNaN: true });
export const anyLayout = fc.constantFrom(...LAYOUTS);
export const anyPlan = fc.record({
  travel: fc.constantFrom(...TRAVEL_WAYS),
  load: fc.constantFrom(...LOAD_STANCES),
  recover: fc.constantFrom(...RECOVERY_WAYS),
  quicken: fc.boolean(),
});
export const anyPattern = fc
  .tuple(anyLayout, anyDistance, anyHand, anyPlan)
  .map(([layout, metres, hand, plan]) => laid(bare(layout, metres, hand), plan));
