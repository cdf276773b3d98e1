const SQRT_PI = Math.sqrt(Math.PI);

/** erf by its Maclaurin series in the all-positive form (Abramowitz & Stegun 7.1.6); good for |x| < 3. */
function erfSeries(x: number): number {
  let term = x;
  let sum = x;
  for (let n = 1; Math.abs(term) > 1e-17 * Math.abs(sum); n++) {
    term *= (2 * x * x) / (2 * n + 1);
    sum += term;
  }
  return ((2 / SQRT_PI) * sum) / Math.exp(x * x);
}

/** erfc for x > 0 by its continued fraction (Abramowitz & Stegun 7.1.14), evaluated from the tail. */
function erfcFraction(x: number): number {
  let fraction = x;
  for (let k = 60; k >= 1; k--) fraction = x + k / 2 / fraction;
  return Math.exp(-x * x) / (SQRT_PI * fraction);
}

/** Complementary error function, relative error below 1e-12 in both tails. */
export function erfc(x: number): number {
  if (x < 0) return 2 - erfc(-x);
  return x >= 2 ? erfcFraction(x) : 1 - erfSeries(x);
}

/** P(Z ≤ z) of a standard normal Z. */
export const normalCdf = (z: number): number => erfc(-z / Math.SQRT2) / 2;
