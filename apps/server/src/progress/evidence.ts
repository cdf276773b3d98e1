import { judgeSet, type JudgedSet } from '@orthokin/core/progress';
import type { Pattern } from '@orthokin/core/pattern';
import { readRep, standing, withNextCues, type RepReading } from '@orthokin/core/timing';
import type { DrillSet } from '../drills/drill-set.entity.js';
import type { RepRow } from '../drills/rep.entity.js';
import { storedRung } from '../patterns/patterns.service.js';

/** The reps of a set that stand, in order, read with the settings it was run with. */
export const readSet = (
  set: Pick<DrillSet, 'falseStartMs' | 'responseLimitMs'>,
  recorded: readonly RepRow[],
  { splitWindowMs }: Pattern,
): RepReading[] =>
  withNextCues(standing(recorded), recorded).map((rep) =>
    readRep(rep, {
      falseStartMs: set.falseStartMs,
      responseLimitMs: set.responseLimitMs,
      splitWindowMs,
    }),
  );

/** A set held against its rung, as the rules of progress want it. */
export const judgeStored = (
  set: DrillSet,
  recorded: readonly RepRow[],
  pattern: Pattern,
): JudgedSet => ({
  setId: set.id,
  day: set.day,
  judgement: judgeSet(readSet(set, recorded, pattern), storedRung(pattern, set.rung)),
});
