import { distance, HOME, type Point, type Target } from '@orthokin/core/floor';
import type { RallyPlan } from './usual-rally.js';

/** Nearer than this to where it was, a thing is put back to it: less than a step by key, m. */
const SNAP_M = 0.06;
/** No ball is taken so soon after its bounce that less than this lies between, m. */
const LEAST_BOUNCE_M = 0.1;

/** Whether anything was moved away from where the pattern has it. */
export const hasOwnPlaces = ({ waitsAt, taken }: RallyPlan): boolean =>
  waitsAt !== undefined || Object.keys(taken ?? {}).length > 0;

/** Everything back to where the pattern has it. */
export const withoutOwnPlaces = ({ waitsAt, taken, ...plan }: RallyPlan): RallyPlan => plan;

/** The athlete waits somewhere else; at home base again when put back to it. */
export function movedHome(plan: RallyPlan, to: Point): RallyPlan {
  const { waitsAt, ...rest } = plan;
  return distance(to, HOME) < SNAP_M ? rest : { ...rest, waitsAt: to };
}

/** It is taken somewhere else at one target; at its marker again when put back to it. */
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

/** It bounces so many metres before it is taken, at one target. */
export function withBounce(plan: RallyPlan, letter: string, metres: number): RallyPlan {
  const bounceBeforeM = Math.max(LEAST_BOUNCE_M, Math.round(10 * metres) / 10);
  const taken = { ...plan.taken, [letter]: { ...plan.taken?.[letter], bounceBeforeM } };
  return { ...plan, taken };
}
