import type { SetJudgement } from './gates.js';
import type { StaircaseReading } from './staircase.js';

/** A set on the rung in question, as evidence. */
export interface JudgedSet {
  readonly setId: string;
  /** Calendar day on which it was run, `YYYY-MM-DD`. */
  readonly day: string;
  readonly judgement: SetJudgement;
  /** Of a set whose pace moved by itself. */
  readonly staircase?: StaircaseReading | null;
}
