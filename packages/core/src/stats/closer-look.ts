import type { Target } from '../floor/index.js';
import { mad, median } from '../numeric/index.js';
import type { Result } from '../result/index.js';
import { fitExGaussian, type ExGaussianFit } from './ex-gaussian.js';
import { hickLine, type HickLine } from './hick.js';
import type { Interval } from './interval.js';
import { medianInterval } from './median-bootstrap.js';
import { asymmetry, mirroredLetters, type Asymmetry } from './sides.js';
import { slowFromMs } from './summary.js';

/** Reps that may be pooled, as columns; times in ms, `null` if not timed. */
export interface RepColumns {
  /** Index of each rep's set. */
  readonly set: readonly number[];
  readonly target: readonly string[];
  readonly reaction: readonly (number | null)[];
  readonly recovery: readonly (number | null)[];
  readonly cycle: readonly (number | null)[];
}

/** Durations that a closer look is taken at. */
export const CLOSER_DURATIONS = ['reaction', 'recovery', 'cycle'] as const;
export type CloserDuration = (typeof CLOSER_DURATIONS)[number];

/** A median, ms, with its exact bootstrap interval. */
export interface MedianWithDoubt {
  readonly n: number;
  readonly ms: number;
  readonly interval: Interval | null;
  /** Number of times flagged as slow, which may be lapses. */
  readonly lapses: number;
}

/** Figures that need every rep: medians with intervals, the slow tail, sides, and the cost of choice. */
export interface CloserLook {
  readonly medians: Readonly<Partial<Record<CloserDuration, MedianWithDoubt>>>;
  readonly tail: Result<ExGaussianFit>;
  /** Over all reps, as if of one day; with enough days `leanOf` is better. */
  readonly sides: Asymmetry | null;
  readonly hick: Result<HickLine>;
}

function medianOf(times: readonly number[]): MedianWithDoubt | undefined {
  if (times.length === 0) return undefined;
  const ms = median(times);
  const fromMs = slowFromMs(times.length, ms, mad(times));
  return {
    ...{ n: times.length, ms },
    interval: medianInterval(times),
    lapses: times.filter((each) => each > fromMs).length,
  };
}

/**
 * A closer look at an athlete. `sets` say of each set its rung and how many targets were in play: all but the line of choice is of `rung` only, since others have other ways to go.
 */
export function closerLook(
  reps: RepColumns,
  sets: readonly { readonly rung: number; readonly choices: number }[],
  targets: readonly Target[],
  rung: number,
): CloserLook {
  const setOf = (rep: number) => sets[reps.set[rep] ?? -1];
  const timesOf = (name: CloserDuration, isIn: (rep: number) => boolean) =>
    reps[name].filter((ms, rep): ms is number => ms !== null && isIn(rep));
  const isOnRung = (rep: number) => setOf(rep)?.rung === rung;
  const { left, right } = mirroredLetters(targets);
  const cyclesTo = (letters: readonly string[]) =>
    timesOf('cycle', (rep) => isOnRung(rep) && letters.includes(reps.target[rep] ?? ''));
  const medians: Partial<Record<CloserDuration, MedianWithDoubt>> = {};
  for (const name of CLOSER_DURATIONS) {
    const own = medianOf(timesOf(name, isOnRung));
    if (own) medians[name] = own;
  }
  const chosen = reps.reaction.flatMap((ms, rep) =>
    ms === null ? [] : [{ ms, choices: setOf(rep)?.choices ?? NaN }],
  );
  return {
    medians,
    sides: asymmetry(cyclesTo(left), cyclesTo(right)),
    tail: fitExGaussian(timesOf('reaction', isOnRung)),
    hick: hickLine(
      chosen.map(({ choices }) => choices),
      chosen.map(({ ms }) => ms),
    ),
  };
}
