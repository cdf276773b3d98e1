import { mean } from './describe.js';

/** A least-squares line: y = intercept + slope·x. */
export interface FittedLine {
  readonly intercept: number;
  readonly slope: number;
  /** Standard error of the slope. */
  readonly slopeSe: number;
  /** Share of y's variance that the line explains, 0–1. */
  readonly r2: number;
  /** Residual sum of squares. */
  readonly rss: number;
}

/** The least-squares line of y on x. With two points, or one x, its error cannot be known (NaN). */
export function leastSquares(x: readonly number[], y: readonly number[]): FittedLine {
  const [mx, my] = [mean(x), mean(y)];
  let [xx, xy, yy] = [0, 0, 0];
  for (const [i, each] of x.entries()) {
    const [dx, dy] = [each - mx, (y[i] ?? NaN) - my];
    xx += dx * dx;
    xy += dx * dy;
    yy += dy * dy;
  }
  const slope = xy / xx;
  const rss = Math.max(0, yy - slope * xy);
  return {
    slope,
    intercept: my - slope * mx,
    slopeSe: Math.sqrt(rss / (x.length - 2) / xx),
    r2: 1 - rss / yy,
    rss,
  };
}
