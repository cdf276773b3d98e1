import { betaCdf, betaQuantile } from './beta.js';
import { normalCdf, normalQuantile } from './normal.js';

/**
 * P(T ≤ t) of Student's t with `df` degrees of freedom, which need not be whole; the normal for
 * infinitely many (Abramowitz & Stegun 26.7.1).
 */
export function studentCdf(t: number, df: number): number {
  if (df === Infinity) return normalCdf(t);
  const tail = betaCdf(df / (df + t * t), df / 2, 0.5) / 2;
  return t < 0 ? tail : 1 - tail;
}

/** The t with P(T ≤ t) = p, 0 < p < 1. */
export function studentQuantile(p: number, df: number): number {
  if (df === Infinity) return normalQuantile(p);
  const tail = Math.min(p, 1 - p);
  const share = betaQuantile(2 * tail, df / 2, 0.5);
  const t = Math.sqrt(df * (1 / share - 1));
  return p < 0.5 ? -t : t;
}
