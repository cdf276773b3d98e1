import { median, medianInPlace, normalQuantile } from '../numeric/index.js';
import { LEVEL, type Interval } from './interval.js';

/** A line through values by index: slope per index, and value at index 0. */
export interface Line {
  readonly slope: number;
  readonly intercept: number;
}

function slopes(y: readonly number[]): Float64Array {
  const n = y.length;
  const all = new Float64Array((n * (n - 1)) / 2);
  let k = 0;
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) all[k++] = ((y[j] as number) - (y[i] as number)) / (j - i);
  return all;
}

/**
 * Line through y against 0, 1, 2, …: median of all pairwise slopes (Sen 1968).
 *
 * @example
 * theilSen([1, 3, 5, 7, 90]).slope; // 2
 */
export function theilSen(y: readonly number[]): Line {
  const slope = medianInPlace(slopes(y));
  return { slope, intercept: median(y) - (slope * (y.length - 1)) / 2 };
}

/** Interval of that slope: the range of pairwise slopes that Kendall's test does not reject (Sen 1968). */
export function slopeInterval(y: readonly number[], level = LEVEL): Interval | null {
  const n = y.length;
  const reach = normalQuantile((1 + level) / 2) * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const all = slopes(y).sort();
  const [low, high] = [
    Math.floor((all.length - reach) / 2) - 1,
    Math.ceil((all.length + reach) / 2),
  ];
  return low < 0 || high >= all.length
    ? null
    : { low: all[low] as number, high: all[high] as number };
}
