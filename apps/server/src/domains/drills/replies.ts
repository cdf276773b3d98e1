import type { ConditionsBody, DrillSetReply, RepReply } from '@orthokin/contract';
import type { DrillSet } from './drill-set.entity.js';
import type { RepRow } from './rep.entity.js';

/** A set as replies and files have it. */
export const setReply = (set: DrillSet): DrillSetReply => ({
  id: set.id,
  athleteId: set.athleteId,
  patternId: set.patternId,
  patternVersion: set.patternVersion,
  rung: set.rung,
  source: set.source,
  startedAt: set.startedAt.toISOString(),
  day: set.day,
  seed: set.seed,
  falseStartMs: set.falseStartMs,
  responseLimitMs: set.responseLimitMs,
  conditions: set.conditions as ConditionsBody,
  limitsMs: set.limitsMs,
  cues: set.cues,
  endedAt: set.endedAt?.toISOString() ?? null,
  endReason: set.endReason,
});

/** A rep as replies and files have it. */
export const repReply = ({
  id,
  ordinal,
  target,
  events,
  seenFaults,
  struckOut,
  marks,
  replaces,
  corrected,
}: RepRow): RepReply => ({
  id,
  ordinal,
  target,
  events,
  seenFaults,
  struckOut,
  marks,
  replaces,
  corrected,
});
