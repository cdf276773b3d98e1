import { easedRung } from '@orthokin/core/drill';
import { onScale } from '@orthokin/core/footwork';
import { withLimits, type Pattern, type Rung } from '@orthokin/core/pattern';
import { storedRung } from '../patterns/patterns.service.js';
import type { DrillSet } from './drill-set.entity.js';

type RunOn = Pick<DrillSet, 'rung' | 'limitsMs'> & {
  readonly conditions: Pick<DrillSet['conditions'], 'eased'>;
};

/** The rung a set was run on, as far as it was asked, with the limits it was run against. */
export function rungAsRun(pattern: Pattern, { rung, limitsMs, conditions }: RunOn): Rung {
  const stored = easedRung(storedRung(pattern, rung), conditions.eased);
  return limitsMs ? withLimits(stored, limitsMs) : stored;
}

/** The pattern as a set was run on it: on the rung's scale, against the athlete's own limits. */
export function patternAsRun(pattern: Pattern, set: RunOn): Pattern {
  const asRun = rungAsRun(pattern, set);
  const rungs = pattern.rungs.map((rung) => (rung.number === asRun.number ? asRun : rung));
  return onScale({ ...pattern, rungs }, asRun.floorScale);
}
