import type { FreezeAt } from '../cue/index.js';
import { travelTime } from '../budget/index.js';
import { HOME } from '../floor/index.js';
import { arrivalMs, legOf, targetOf } from '../pattern/index.js';
import type { RunPlan } from './plan.js';

/** From reading a cue to the first move, where nothing better is known. */
const USUAL_REACTION_MS = 250;
/** Where nobody sees the athlete home, they get this much longer than expected. */
const SLOW_DAY = 1.25;
/** How long the athlete must hold when no cue comes. */
export const CATCH_HOLD_MS = 1500;

/** When an athlete is expected at load and home. */
export interface Expected {
  /** From cue to the loading foot planted, and to home again, ms. */
  readonly load: number;
  readonly recovery: number;
}

/** When the athlete can be expected at each position, after the cue: as the pattern was laid. */
export function expectedMs(
  { pattern, simulated }: Pick<RunPlan, 'pattern' | 'simulated'>,
  letter: string,
): Expected {
  const leg = legOf(pattern, letter);
  const { x, y } = targetOf(pattern, letter)?.at ?? HOME;
  const wayMs = 1000 * travelTime(Math.hypot(x, y), simulated.travel);
  const load = (leg && arrivalMs(leg)) ?? USUAL_REACTION_MS + wayMs;
  return { load, recovery: leg?.placements.at(-1)?.atMs ?? load + wayMs };
}

/** From a cue to a position in which the athlete may be called to a stop, ms. */
export const positionMs = (
  plan: Pick<RunPlan, 'pattern' | 'simulated'>,
  letter: string,
  at: FreezeAt,
): number => (at === 'split' ? 0 : expectedMs(plan, letter)[at]);

/** From a cue until the athlete is home for sure, where nobody will see it, ms. */
export const homeForSureMs = (
  plan: Pick<RunPlan, 'pattern' | 'simulated'>,
  letter: string,
): number => SLOW_DAY * expectedMs(plan, letter).recovery;
