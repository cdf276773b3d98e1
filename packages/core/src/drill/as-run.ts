import { rungOf, withLimits, type LimitsMs, type Pattern, type Rung } from '../pattern/index.js';
import type { Conditions } from './conditions.js';
import { easedRung } from './eased.js';

/** What of a set says how its rung was asked. */
export interface AsRun {
  readonly rung: number;
  /** Of the athlete's own, ms; `null` or missing for the rung's. */
  readonly limitsMs?: LimitsMs | null;
  readonly conditions: Pick<Conditions, 'eased'>;
}

/**
 * The rung a set was run on, as far as it was asked, with the limits it was run against; `null` where the
 * pattern has no such rung.
 */
export function rungAsRun(pattern: Pattern, { rung, limitsMs, conditions }: AsRun): Rung | null {
  const stored = rungOf(pattern, rung);
  if (!stored) return null;
  const eased = easedRung(stored, conditions.eased);
  return limitsMs ? withLimits(eased, limitsMs) : eased;
}
