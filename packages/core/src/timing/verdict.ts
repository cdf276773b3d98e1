import { normalCdf } from '../numeric/index.js';
import type { Duration } from './durations.js';

/** How a rep stands against a limit, its timing error counted in. */
export type Verdict = 'pass' | 'fail' | 'too close to call';

/** At least this sure to call a pass; at most one minus this to call a fail. */
export const SURE = 0.95;

/**
 * P(true duration ≤ limit) for a measured duration with a normal error. With no error it is a
 * plain comparison, in which the limit itself still passes.
 *
 * @example
 * probabilityUnder({ ms: 300, sdMs: 45 }, 350).toFixed(2); // '0.87'
 */
export function probabilityUnder({ ms, sdMs }: Duration, limitMs: number): number {
  if (sdMs === 0) return ms <= limitMs ? 1 : 0;
  return normalCdf((limitMs - ms) / sdMs);
}

/**
 * Pass, fail or too close to call, from the probability that the limit is kept.
 *
 * @example
 * verdictOf(probabilityUnder({ ms: 300, sdMs: 45 }, 350)); // 'too close to call'
 */
export function verdictOf(probability: number): Verdict {
  if (probability >= SURE) return 'pass';
  if (probability <= 1 - SURE) return 'fail';
  return 'too close to call';
}
