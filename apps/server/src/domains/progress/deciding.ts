import type { Decision, Evidence, SetJudgement } from '@orthokin/core/progress';
import type { DrillSet } from '../drills/drill-set.entity.js';

/** A set judged, what the rule says after it, and all that follows from. */
export interface Assessment {
  readonly judgement: SetJudgement;
  readonly decision: Decision;
  readonly evidence: Evidence;
}

/**
 * Whoever decides what comes after a set. Moves are checked against it; what it works from is kept
 * by others, who know the domains and not the other way round.
 */
export abstract class Deciding {
  abstract assess(set: DrillSet): Promise<Assessment>;
}
