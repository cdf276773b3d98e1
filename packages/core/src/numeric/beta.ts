const TINY = 1e-300;
const CLOSE = 1e-16;
const MOST_TERMS = 500;

const LANCZOS_G = 7;
const LANCZOS_FIRST = 0.99999999999980993;
const LANCZOS = Float64Array.of(
  ...[676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059],
  ...[12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7],
);
const HALF_LN_2PI = 0.5 * Math.log(2 * Math.PI);

/** ln Γ(x), x > 0, by Lanczos' approximation with g = 7 and nine terms (Lanczos 1964). */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x);
  const t = x + LANCZOS_G - 0.5;
  let sum = LANCZOS_FIRST;
  for (let i = 0; i < LANCZOS.length; i++) sum += (LANCZOS[i] as number) / (x + i);
  return HALF_LN_2PI + (x - 0.5) * Math.log(t) - t + Math.log(sum);
}

const away = (value: number): number => (Math.abs(value) < TINY ? TINY : value);

/** Continued fraction of the incomplete beta function, by Lentz's method. */
function fraction(x: number, a: number, b: number): number {
  let c = 1;
  let d = 1 / away(1 - ((a + b) * x) / (a + 1));
  let result = d;
  for (let m = 1; m <= MOST_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / away(1 + even * d);
    c = away(1 + even / c);
    result *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / away(1 + odd * d);
    c = away(1 + odd / c);
    result *= d * c;
    if (Math.abs(d * c - 1) < CLOSE) break;
  }
  return result;
}

/** P(X ≤ x) of a beta distribution with shapes a and b (Abramowitz & Stegun 26.5.8). */
export function betaCdf(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(
    logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x),
  );
  return x < (a + 1) / (a + b + 2)
    ? (front * fraction(x, a, b)) / a
    : 1 - (front * fraction(1 - x, b, a)) / b;
}

const HALVINGS = 80;

/** The x whose `betaCdf` is p, by halving: the function only rises. */
export function betaQuantile(p: number, a: number, b: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (betaCdf(middle, a, b) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
