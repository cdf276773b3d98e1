import { erfc } from '../numeric/index.js';

/** A rank correlation and the chance of one so far from 0. */
export interface Kendall {
  /** From −1 (one falls whenever the other rises) to 1. */
  readonly tau: number;
  /** Two-sided, normal approximation; 1 where nothing can be said. */
  readonly p: number;
  readonly n: number;
}

/**
 * Whether two figures of the same things go together: Kendall's tau-b (Kendall 1945, Biometrika 33).
 *
 * @example
 * kendall([1, 2, 3, 4], [10, 20, 30, 40]).tau; // 1
 */
export function kendall(x: readonly number[], y: readonly number[]): Kendall {
  const n = x.length;
  let [score, tiedX, tiedY] = [0, 0, 0];
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const [dx, dy] = [
        Math.sign((x[i] ?? NaN) - (x[j] ?? NaN)),
        Math.sign((y[i] ?? NaN) - (y[j] ?? NaN)),
      ];
      score += dx * dy;
      if (dx === 0) tiedX++;
      if (dy === 0) tiedY++;
    }
  const pairs = (n * (n - 1)) / 2;
  const scale = Math.sqrt((pairs - tiedX) * (pairs - tiedY));
  const sd = Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const z = Math.max(0, Math.abs(score) - 1) / sd;
  return { n, tau: scale > 0 ? score / scale : 0, p: sd > 0 ? erfc(z / Math.SQRT2) : 1 };
}
