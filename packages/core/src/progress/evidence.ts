import type { SetJudgement } from './gates.js';
import type { StaircaseReading } from './staircase.js';

/** A set as evidence for a rung. */
export interface JudgedSet {
  readonly setId: string;
  /** Calendar day, `YYYY-MM-DD`. */
  readonly day: string;
  readonly judgement: SetJudgement;
  /** Only for a set whose pace adapted by itself. */
  readonly staircase?: StaircaseReading | null;
}
