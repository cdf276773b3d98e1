import type { Cue } from '../cue/index.js';
import type { Conditions } from '../drill/index.js';
import type { Pattern } from '../pattern/index.js';
import type { SimulatedAthlete } from '../simulation/index.js';
import { TIMING_SOURCES } from '../timing/index.js';

/** Timing sources of a set; `none` if only its cues are known. */
export const SET_SOURCES = [...TIMING_SOURCES, 'none'] as const;
export type SetSource = (typeof SET_SOURCES)[number];

/** What is fixed when a set starts. */
export interface RunPlan {
  readonly pattern: Pattern;
  readonly rung: number;
  readonly source: SetSource;
  readonly seed: number;
  readonly conditions: Conditions;
  /** Number of reps, without those that lost ones add; the most possible if the set runs for a time. */
  readonly reps: number;
  /** Empty if cues are called live; includes those for added reps. */
  readonly cues: readonly Cue[];
  readonly falseStartMs: number;
  readonly responseLimitMs: number;
  readonly sessionsBefore: number;
  readonly simulated: SimulatedAthlete;
}
