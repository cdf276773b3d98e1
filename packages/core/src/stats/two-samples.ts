import { erfc } from '../numeric/index.js';
import { median } from './describe.js';

/** Typical amount by which x exceeds y: the median of all pairwise differences (Hodges & Lehmann 1963). */
export const hodgesLehmannShift = (x: readonly number[], y: readonly number[]): number =>
  median(x.flatMap((a) => y.map((b) => a - b)));

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
