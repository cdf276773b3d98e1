import { rungAsRun as asRun, type AsRun } from '@orthokin/core/drill';
import { onScale } from '@orthokin/core/footwork';
import type { Pattern, Rung } from '@orthokin/core/pattern';

/** The rung a set was run on, which its pattern has: the set was checked against it when it came. */
export function rungAsRun(pattern: Pattern, run: AsRun): Rung {
  const rung = asRun(pattern, run);
  if (!rung) throw new Error(`Pattern ${pattern.name} has no rung ${run.rung}.`);
  return rung;
}

/** The pattern as a set was run on it: on the rung's scale, against the athlete's own limits. */
export function patternAsRun(pattern: Pattern, set: AsRun): Pattern {
  const asRun = rungAsRun(pattern, set);
  const rungs = pattern.rungs.map((rung) => (rung.number === asRun.number ? asRun : rung));
  return onScale({ ...pattern, rungs }, asRun.floorScale);
}
