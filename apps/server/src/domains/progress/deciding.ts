import type { Decision, Evidence, SetJudgement } from '@orthokin/core/progress';
import type { DrillSet } from '../drills/drill-set.entity.js';

/** A judged set, with the decision after it and its evidence. */
export interface Assessment {
  readonly judgement: SetJudgement;
  readonly decision: Decision;
  readonly evidence: Evidence;
}

/**
 * What the progress domain needs to check a move against the evidence. `derived/` implements it, so that this domain
 * does not depend on it.
 */
export abstract class Deciding {
  abstract assess(set: DrillSet): Promise<Assessment>;
}
