import {
  climb,
  erfc,
  logScaledErfc,
  mean,
  normalCdf,
  scaledErfc,
  sd,
  type Slope,
} from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';

/** The usual response (normal: mu, sigma) and the slow tail added to it (exponential: tau), ms. */
export interface ExGaussian {
  readonly mu: number;
  readonly sigma: number;
  readonly tau: number;
}

const LN_2 = Math.LN2;
const SQRT_PI = Math.sqrt(Math.PI);
/** Below this the scaled erfc would overflow, while erfc itself is practically 2. */
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

/** Fitted parameters, ms, and their log likelihood. */
export interface ExGaussianFit extends ExGaussian {
  readonly n: number;
  readonly logLikelihood: number;
  /** Standard errors from the likelihood's curvature; NaN if there is none. */
  readonly se: ExGaussian;
}

/** Fewer times do not determine three parameters. */
export const FEWEST_TIMES = 40;
/** A component narrower than this share of the spread is indistinguishable from none. */
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
 * The log likelihood of some times, with its first and second derivatives by mu, sigma and tau. With
 * z = (x − mu)/sigma, u = (sigma/tau − z)/√2 and g(u) = ln(e^(u²)·erfc(u)) the log density is
 * g(u) − z²/2 − ln(2 tau), and g′ = 2u − 2/(√π·e^(u²)·erfc(u)), g″ = 2 + 2u·g′ − g′².
 */
function likelihood(times: readonly number[], { mu, sigma, tau }: ExGaussian): Slope {
  const n = times.length;
  let value = -n * (Math.log(tau) + LN_2);
  let [gMu, gSigma, gTau] = [0, 0, -n / tau];
  let [mm, ms, mt, ss, st, tt] = [0, 0, 0, 0, 0, n / tau ** 2];
  const uMu = Math.SQRT1_2 / sigma;
  const uTau = (-sigma / tau ** 2) * Math.SQRT1_2;
  const [uMuSigma, uSigmaTau] = [-uMu / sigma, -Math.SQRT1_2 / tau ** 2];
  const uTauTau = (-2 * uTau) / tau;
  for (const x of times) {
    const z = (x - mu) / sigma;
    const u = (sigma / tau - z) * Math.SQRT1_2;
    const isFar = u < FAR_RIGHT;
    const scaled = isFar ? Infinity : scaledErfc(u);
    // In this range erfc is 2 to twelve digits.
    const g = isFar ? u * u + LN_2 : Math.log(scaled);
    const g1 = 2 * u - 2 / SQRT_PI / scaled;
    const g2 = 2 + 2 * u * g1 - g1 * g1;
    const uSigma = (1 / tau + z / sigma) * Math.SQRT1_2;
    const uSigmaSigma = ((-2 * z) / sigma ** 2) * Math.SQRT1_2;
    value += g - (z * z) / 2;
    gMu += g1 * uMu + z / sigma;
    gSigma += g1 * uSigma + (z * z) / sigma;
    gTau += g1 * uTau;
    mm += g2 * uMu * uMu - 1 / sigma ** 2;
    ms += g2 * uMu * uSigma + g1 * uMuSigma - (2 * z) / sigma ** 2;
    mt += g2 * uMu * uTau;
    ss += g2 * uSigma * uSigma + g1 * uSigmaSigma - (3 * z * z) / sigma ** 2;
    st += g2 * uSigma * uTau + g1 * uSigmaTau;
    tt += g2 * uTau * uTau + g1 * uTauTau;
  }
  return {
    value,
    gradient: [gMu, gSigma, gTau],
    hessian: [
      [mm, ms, mt],
      [ms, ss, st],
      [mt, st, tt],
    ],
  };
}

/** Derivatives by mu, ln sigma and ln tau, so that halving and doubling are steps of equal size. */
function byLogs({ value, gradient, hessian }: Slope, sigma: number, tau: number): Slope {
  const scale = [1, sigma, tau];
  const scaled = gradient.map((g, i) => g * (scale[i] ?? NaN));
  return {
    value,
    gradient: scaled,
    hessian: hessian.map((row, i) =>
      row.map(
        (h, j) =>
          h * (scale[i] ?? NaN) * (scale[j] ?? NaN) + (i === j && i > 0 ? (scaled[i] ?? NaN) : 0),
      ),
    ),
  };
}

/** Newton's method stops when the log likelihood gains less than this. */
const GAIN = 1e-6;

/**
 * The ex-Gaussian that makes these times likeliest (maximum likelihood; Heathcote, Popiel &
 * Mewhort 1991), climbed to from the moments by Newton's method. `times` are in ms, at least 40 of
 * them, and not all alike.
 */
export function fitExGaussian(times: readonly number[]): Result<ExGaussianFit> {
  if (times.length < FEWEST_TIMES)
    return wrong('times', times.length, `at least ${FEWEST_TIMES} times`);
  const spread = sd(times);
  if (!(spread > 0)) return wrong('times', 'all alike', 'times that differ');
  const lnLeast = Math.log(LEAST_SHARE * spread);
  const paramsOf = ([mu = NaN, lnSigma = NaN, lnTau = NaN]: readonly number[]): ExGaussian => ({
    ...{ mu, sigma: Math.exp(lnSigma), tau: Math.exp(lnTau) },
  });
  const start = fromMoments(times);
  const { at, slope } = climb(
    (point) => {
      const params = paramsOf(point);
      return byLogs(likelihood(times, params), params.sigma, params.tau);
    },
    [start.mu, Math.log(start.sigma), Math.log(start.tau)],
    [-Infinity, lnLeast, lnLeast],
    GAIN,
  );
  const fit = paramsOf(at);
  const [a, b, c] = inverseDiagonal(
    likelihood(times, fit).hessian.map((row) => row.map((second) => -second)),
  );
  return ok({
    ...fit,
    n: times.length,
    logLikelihood: slope.value,
    se: { mu: Math.sqrt(a), sigma: Math.sqrt(b), tau: Math.sqrt(c) },
  });
}
