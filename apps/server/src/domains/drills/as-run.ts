import { rungAsRun as asRun, type AsRun } from '@orthokin/core/drill';
import { onScale } from '@orthokin/core/footwork';
import type { Pattern, Rung } from '@orthokin/core/pattern';

/** The rung a set was run on; it exists, because the set was validated against its pattern. */
export function rungAsRun(pattern: Pattern, run: AsRun): Rung {
  const rung = asRun(pattern, run);
  if (!rung) throw new Error(`Pattern ${pattern.name} has no rung ${run.rung}.`);
  return rung;
}

/** The pattern as a set was run: at the rung's scale, with the athlete's own limits. */
export function patternAsRun(pattern: Pattern, set: AsRun): Pattern {
  const asRun = rungAsRun(pattern, set);
  const rungs = pattern.rungs.map((rung) => (rung.number === asRun.number ? asRun : rung));
  return onScale({ ...pattern, rungs }, asRun.floorScale);
}
