import { erfc, logScaledErfc, mean, minimise, normalCdf, sd } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';

/** The usual response (normal: mu, sigma) and the slow tail added to it (exponential: tau), ms. */
export interface ExGaussian {
  readonly mu: number;
  readonly sigma: number;
  readonly tau: number;
}

const LN_2 = Math.LN2;
/** Beyond this the scaled erfc would overflow where erfc itself is as good as 2. */
const FAR_RIGHT = -5;

/** ln of the density at x (Luce 1986). */
export function exGaussianLogPdf(x: number, { mu, sigma, tau }: ExGaussian): number {
  const z = (x - mu) / sigma;
  const u = (sigma / tau - z) / Math.SQRT2;
  if (u < FAR_RIGHT)
    return (sigma / tau) ** 2 / 2 - (x - mu) / tau + Math.log(erfc(u)) - Math.log(tau) - LN_2;
  return logScaledErfc(u) - (z * z) / 2 - Math.log(tau) - LN_2;
}

/** P(time ≤ x). */
export function exGaussianCdf(x: number, { mu, sigma, tau }: ExGaussian): number {
  const z = (x - mu) / sigma;
  const u = (sigma / tau - z) / Math.SQRT2;
  const tail =
    u < FAR_RIGHT
      ? Math.exp((sigma / tau) ** 2 / 2 - (x - mu) / tau + Math.log(erfc(u))) / 2
      : Math.exp(logScaledErfc(u) - (z * z) / 2) / 2;
  return normalCdf(z) - tail;
}

export interface ExGaussianFit extends ExGaussian {
  readonly n: number;
  readonly logLikelihood: number;
  /** Standard errors, from the curvature of the likelihood; NaN where it has none. */
  readonly se: ExGaussian;
}

/** Three numbers out of fewer times than this would be guesswork. */
export const FEWEST_TIMES = 40;
/** A part narrower than this share of the whole spread cannot be told from none. */
const LEAST_SHARE = 0.01;

function skewness(values: readonly number[]): number {
  const [centre, spread] = [mean(values), sd(values)];
  let cubes = 0;
  for (const value of values) cubes += ((value - centre) / spread) ** 3;
  return cubes / values.length;
}

/** Where a fit begins: mean, variance and skewness of the times (Heathcote, Popiel & Mewhort 1991). */
function fromMoments(times: readonly number[]): ExGaussian {
  const spread = sd(times);
  const skew = Math.min(1.9, Math.max(0.05, skewness(times)));
  const tau = spread * Math.cbrt(skew / 2);
  const sigma = Math.sqrt(Math.max((0.1 * spread) ** 2, spread ** 2 - tau ** 2));
  return { mu: mean(times) - tau, sigma, tau };
}

/** Second derivatives of a function of three numbers, by differences of these steps. */
function hessian(
  of: (p: readonly number[]) => number,
  at: readonly number[],
  h: readonly number[],
) {
  const shifted = (i: number, j: number, si: number, sj: number) =>
    of(at.map((x, k) => x + (k === i ? si * (h[i] ?? 0) : 0) + (k === j ? sj * (h[j] ?? 0) : 0)));
  return at.map((_, i) =>
    at.map(
      (__, j) =>
        (shifted(i, j, 1, 1) -
          shifted(i, j, 1, -1) -
          shifted(i, j, -1, 1) +
          shifted(i, j, -1, -1)) /
        (4 * (h[i] ?? NaN) * (h[j] ?? NaN)),
    ),
  );
}

/** The diagonal of the inverse of a symmetric 3 × 3 matrix. */
function inverseDiagonal(m: readonly (readonly number[])[]): [number, number, number] {
  const e = (i: number, j: number) => m[i]?.[j] ?? NaN;
  const minor = (i: number, j: number) => e(i, i) * e(j, j) - e(i, j) ** 2;
  const determinant =
    e(0, 0) * minor(1, 2) -
    e(0, 1) * (e(0, 1) * e(2, 2) - e(1, 2) * e(0, 2)) +
    e(0, 2) * (e(0, 1) * e(1, 2) - e(1, 1) * e(0, 2));
  return [minor(1, 2) / determinant, minor(0, 2) / determinant, minor(0, 1) / determinant];
}

/**
 * The ex-Gaussian that makes these times likeliest (maximum likelihood; Heathcote, Popiel &
 * Mewhort 1991). `times` are in ms, at least 40 of them.
 */
export function fitExGaussian(times: readonly number[]): Result<ExGaussianFit> {
  if (times.length < FEWEST_TIMES)
    return wrong('times', times.length, `at least ${FEWEST_TIMES} times`);
  const spread = sd(times);
  if (!(spread > 0)) return wrong('times', 'all alike', 'times that differ');
  const least = LEAST_SHARE * spread;
  const minusLog = ([mu = NaN, sigma = NaN, tau = NaN]: readonly number[]): number => {
    if (sigma < least || tau < least) return Infinity;
    let sum = 0;
    for (const x of times) sum -= exGaussianLogPdf(x, { mu, sigma, tau });
    return sum;
  };
  // On a logarithmic scale sigma and tau are as easily halved as doubled, and never negative.
  const onLog = ([mu = NaN, lnSigma = NaN, lnTau = NaN]: readonly number[]) =>
    minusLog([mu, Math.exp(lnSigma), Math.exp(lnTau)]);
  const { mu, sigma, tau } = fromMoments(times);
  const first = minimise(onLog, [mu, Math.log(sigma), Math.log(tau)], [spread / 4, 0.3, 0.3], 1e-4);
  const again = minimise(onLog, first.at, [spread / 20, 0.1, 0.1], 1e-7);
  const [m = NaN, lnSigma = NaN, lnTau = NaN] = again.at;
  const fit = { mu: m, sigma: Math.exp(lnSigma), tau: Math.exp(lnTau) };
  const [a, b, c] = inverseDiagonal(
    hessian(
      minusLog,
      [fit.mu, fit.sigma, fit.tau],
      [1e-3 * spread, 1e-3 * fit.sigma, 1e-3 * fit.tau],
    ),
  );
  return ok({
    ...fit,
    n: times.length,
    logLikelihood: -again.value,
    se: { mu: Math.sqrt(a), sigma: Math.sqrt(b), tau: Math.sqrt(c) },
  });
}
