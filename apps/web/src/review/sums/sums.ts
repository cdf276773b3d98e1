import { seededRandom } from '@orthokin/core/cue';
import type { Target } from '@orthokin/core/floor';
import type { Result } from '@orthokin/core/result';
import {
  closerLook,
  forecast,
  type CloserLook,
  type Forecast,
  type RepColumns,
} from '@orthokin/core/stats';

/** Calculations that take too long for the page's thread. */
export type Sum =
  | {
      readonly kind: 'closer';
      readonly reps: RepColumns;
      readonly targets: readonly Target[];
      /** For each set that `reps.set` refers to: its rung, day and targets in play. */
      readonly sets: Parameters<typeof closerLook>[1];
      readonly rung: number;
    }
  | {
      readonly kind: 'forecast';
      readonly sessions: readonly number[];
      readonly values: readonly number[];
      readonly thresholdMs: number;
      readonly horizon: number;
    };

export interface Answers {
  readonly closer: CloserLook;
  readonly forecast: Result<Forecast>;
}

/** A fixed seed, so that a repeated forecast is the same. */
const SEED = 1;
const FORECAST_RESAMPLES = 400;

/** Runs a calculation; `tell` receives the progress, 0 to 1. */
export function workOut(sum: Sum, tell: (share: number) => void): Answers[Sum['kind']] {
  if (sum.kind === 'closer') return closerLook(sum.reps, sum.sets, sum.targets, sum.rung);
  const { sessions, values, thresholdMs, horizon } = sum;
  return forecast(sessions, values, {
    ...{ thresholdMs, horizon, resamples: FORECAST_RESAMPLES, random: seededRandom(SEED) },
    progress: tell,
  });
}
