import { distance, HOME, type Point, type Target } from '@orthokin/core/floor';
import type { RallyPlan } from './usual-rally.js';

/** Something dropped this close to its original place snaps back, m. Less than a step by key. */
const SNAP_M = 0.06;
/** The least distance from a bounce to the contact point, m. */
const LEAST_BOUNCE_M = 0.1;

/** Whether anything was moved away from the pattern's places. */
export const hasOwnPlaces = ({ waitsAt, taken }: RallyPlan): boolean =>
  waitsAt !== undefined || Object.keys(taken ?? {}).length > 0;

/** Moves everything back to the pattern's places. */
export const withoutOwnPlaces = ({ waitsAt, taken, ...plan }: RallyPlan): RallyPlan => plan;

/** Moves where the athlete waits; snaps to home base. */
export function movedHome(plan: RallyPlan, to: Point): RallyPlan {
  const { waitsAt, ...rest } = plan;
  return distance(to, HOME) < SNAP_M ? rest : { ...rest, waitsAt: to };
}

/** Moves a target's contact point; snaps to its marker. */
export function withTaken(
  plan: RallyPlan,
  { letter, at }: Pick<Target, 'letter' | 'at'>,
  to: Point,
): RallyPlan {
  const { [letter]: now, ...others } = plan.taken ?? {};
  const { at: before, ...kept } = now ?? {};
  const isBack = distance(to, at) < SNAP_M;
  if (isBack && Object.keys(kept).length === 0) return { ...plan, taken: others };
  return { ...plan, taken: { ...others, [letter]: isBack ? kept : { ...kept, at: to } } };
}

/** Sets how far before its contact point a ball bounces, for one target. */
export function withBounce(plan: RallyPlan, letter: string, metres: number): RallyPlan {
  const bounceBeforeM = Math.max(LEAST_BOUNCE_M, Math.round(10 * metres) / 10);
  const taken = { ...plan.taken, [letter]: { ...plan.taken?.[letter], bounceBeforeM } };
  return { ...plan, taken };
}
