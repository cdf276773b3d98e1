import { logGamma } from './beta.js';

const logChoose = (n: number, k: number): number =>
  logGamma(n + 1) - logGamma(k + 1) - logGamma(n - k + 1);

/**
 * P(at least `least` of `drawn` are marked) when `drawn` of `all` are drawn blindly and `marked` of all
 * are: the upper tail of the hypergeometric distribution (Fisher's exact test, one-sided).
 *
 * @example
 * hypergeometricTail(4, { all: 12, marked: 4, drawn: 4 }).toFixed(4); // '0.0020'
 */
export function hypergeometricTail(
  least: number,
  { all, marked, drawn }: { readonly all: number; readonly marked: number; readonly drawn: number },
): number {
  let tail = 0;
  for (let k = Math.max(least, 0, drawn + marked - all); k <= Math.min(marked, drawn); k++)
    tail += Math.exp(
      logChoose(marked, k) + logChoose(all - marked, drawn - k) - logChoose(all, drawn),
    );
  return Math.min(1, tail);
}
