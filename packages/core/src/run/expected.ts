import type { FreezeAt } from '../cue/index.js';
import { travelTime } from '../budget/index.js';
import { HOME } from '../floor/index.js';
import { arrivalMs, legOf, targetOf } from '../pattern/index.js';
import type { RunPlan } from './plan.js';

/** Default reaction time, ms. */
const USUAL_REACTION_MS = 250;
/** If nobody sees the athlete come home they get this multiple of the expected time. */
const SLOW_DAY = 1.25;
/** How long an athlete must stay still on a catch trial. */
export const CATCH_HOLD_MS = 1500;

/** When an athlete is expected at the load and at home. */
export interface Expected {
  /** From cue to the loading foot's landing, and to home, ms. */
  readonly load: number;
  readonly recovery: number;
}

/** Expected times after the cue, from the pattern as it was laid. */
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

/** From a cue to a position that can be frozen, ms. */
export const positionMs = (
  plan: Pick<RunPlan, 'pattern' | 'simulated'>,
  letter: string,
  at: FreezeAt,
): number => (at === 'split' ? 0 : expectedMs(plan, letter)[at]);

/** From a cue until the athlete is certainly home, if nobody sees them, ms. */
export const homeForSureMs = (
  plan: Pick<RunPlan, 'pattern' | 'simulated'>,
  letter: string,
): number => SLOW_DAY * expectedMs(plan, letter).recovery;
