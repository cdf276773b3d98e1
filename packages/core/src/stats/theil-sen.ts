import { median } from './describe.js';

export interface Line {
  readonly slope: number;
  readonly intercept: number;
}

/** Line through y against 0, 1, 2, …: median of all pairwise slopes (Sen 1968). */
export function theilSen(y: readonly number[]): Line {
  const slopes: number[] = [];
  for (const [i, earlier] of y.entries())
    for (let j = i + 1; j < y.length; j++) slopes.push(((y[j] ?? NaN) - earlier) / (j - i));
  const slope = median(slopes);
  return { slope, intercept: median(y) - (slope * (y.length - 1)) / 2 };
}
