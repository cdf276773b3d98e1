import { rungOf, withLimits, type LimitsMs, type Pattern, type Rung } from '../pattern/index.js';
import type { Conditions } from './conditions.js';
import { easedRung } from './eased.js';

/** The part of a set that says what its rung asked. */
export interface AsRun {
  readonly rung: number;
  /** The athlete's own limits, ms; `null` or absent for the rung's. */
  readonly limitsMs?: LimitsMs | null;
  readonly conditions: Pick<Conditions, 'eased'>;
}

/**
 * The rung of a set as it was asked: eased if so, and with the limits it was run against; `null` if the pattern has
 * no such rung.
 */
export function rungAsRun(pattern: Pattern, { rung, limitsMs, conditions }: AsRun): Rung | null {
  const stored = rungOf(pattern, rung);
  if (!stored) return null;
  const eased = easedRung(stored, conditions.eased);
  return limitsMs ? withLimits(eased, limitsMs) : eased;
}
