import { median, quantile } from '../numeric/index.js';
import type { Interval } from './interval.js';
import { hodgesLehmannShift, mannWhitney, shiftInterval } from './two-samples.js';

/** A comparison of two groups of times, ms. */
export interface Comparison {
  readonly n: readonly [number, number];
  readonly medianMs: readonly [number, number];
  /** The shift of the second group (Hodges–Lehmann), with its interval. */
  readonly shiftMs: number;
  readonly interval: Interval | null;
  /** Mann–Whitney, two-sided. */
  readonly p: number;
  /** P(a time of the second group is longer than one of the first). */
  readonly longerChance: number;
}

const FEWEST = 4;

/** `null` with fewer than four times in a group. */
export function compareTimes(
  first: readonly number[],
  second: readonly number[],
): Comparison | null {
  if (Math.min(first.length, second.length) < FEWEST) return null;
  const { p, probabilityXGreater } = mannWhitney(second, first);
  return {
    n: [first.length, second.length],
    medianMs: [median(first), median(second)],
    shiftMs: hodgesLehmannShift(second, first),
    interval: shiftInterval(second, first),
    p,
    longerChance: probabilityXGreater,
  };
}

/** The quantile curve of some times at evenly spaced shares, as [share, time] pairs. */
export const quantileCurve = (
  times: readonly number[],
  points = 41,
): readonly (readonly [number, number])[] =>
  Array.from({ length: points }, (_, i) => {
    const share = i / (points - 1);
    return [share, quantile(times, share)] as const;
  });
