import type { Cue } from '../cue/index.js';
import type { Conditions } from '../drill/index.js';
import type { Pattern } from '../pattern/index.js';
import type { SimulatedAthlete } from '../simulation/index.js';
import { TIMING_SOURCES } from '../timing/index.js';

/** What times a set; `none` where only its cues are known. */
export const SET_SOURCES = [...TIMING_SOURCES, 'none'] as const;
export type SetSource = (typeof SET_SOURCES)[number];

/** What is settled when a set starts, as far as running it goes. */
export interface RunPlan {
  readonly pattern: Pattern;
  readonly rung: number;
  readonly source: SetSource;
  readonly seed: number;
  readonly conditions: Conditions;
  /** How many reps, without what lost ones add; of a set that lasts a time, the most there can be. */
  readonly reps: number;
  /** Empty when they are called live; with those that lost reps may add. */
  readonly cues: readonly Cue[];
  readonly falseStartMs: number;
  readonly responseLimitMs: number;
  readonly sessionsBefore: number;
  readonly simulated: SimulatedAthlete;
}
