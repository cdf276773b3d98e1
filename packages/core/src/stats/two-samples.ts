import { erfc, median, normalQuantile } from '../numeric/index.js';
import { LEVEL, type Interval } from './interval.js';

const differences = (x: readonly number[], y: readonly number[]): Float64Array => {
  const all = new Float64Array(x.length * y.length);
  let i = 0;
  for (const a of x) for (const b of y) all[i++] = a - b;
  return all.sort();
};

/** Typical amount by which x exceeds y: the median of all pairwise differences (Hodges & Lehmann 1963). */
export const hodgesLehmannShift = (x: readonly number[], y: readonly number[]): number =>
  median([...differences(x, y)]);

/**
 * Interval of that shift: the range of differences that the Mann–Whitney test does not reject (normal approximation).
 * `null` if the samples are too small.
 */
export function shiftInterval(
  x: readonly number[],
  y: readonly number[],
  level = LEVEL,
): Interval | null {
  const pairs = x.length * y.length;
  const sd = Math.sqrt((pairs * (x.length + y.length + 1)) / 12);
  const cut = Math.floor(pairs / 2 - normalQuantile((1 + level) / 2) * sd);
  if (cut < 1) return null;
  const sorted = differences(x, y);
  return { low: sorted[cut - 1] ?? NaN, high: sorted[pairs - cut] ?? NaN };
}

/** A rank-sum test: U, and its two-sided p-value. */
export interface MannWhitney {
  /** Pairs in which x exceeds y, ties counting one half. */
  readonly u: number;
  /** Two-sided, normal approximation with tie and continuity correction. */
  readonly p: number;
  /** P(a random x > a random y), ties counting one half. */
  readonly probabilityXGreater: number;
}

/** Mann–Whitney test of two independent samples (Mann & Whitney 1947). */
export function mannWhitney(x: readonly number[], y: readonly number[]): MannWhitney {
  let u = 0;
  for (const a of x) for (const b of y) u += a > b ? 1 : a === b ? 0.5 : 0;
  const pairs = x.length * y.length;
  const n = x.length + y.length;
  const counts = new Map<number, number>();
  for (const value of [...x, ...y]) counts.set(value, (counts.get(value) ?? 0) + 1);
  const ties = [...counts.values()].reduce((sum, t) => sum + (t ** 3 - t), 0);
  const variance = (pairs / 12) * (n + 1 - ties / (n * (n - 1)));
  const z = Math.max(0, Math.abs(u - pairs / 2) - 0.5) / Math.sqrt(variance);
  return { u, p: variance > 0 ? erfc(z / Math.SQRT2) : 1, probabilityXGreater: u / pairs };
}
