import type { Random } from '../cue/index.js';
import { leastSquares, goldenSection, quantile } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { LEVEL, type Interval } from './interval.js';

/** value(session) = floor + gain·e^(−rate·(session − 1)); sessions count from 1. */
export interface LearningCurve {
  readonly floor: number;
  readonly gain: number;
  readonly rate: number;
  readonly rss: number;
}

/** The curve at a session, ms; sessions count from 1. */
export const curveAt = ({ floor, gain, rate }: LearningCurve, session: number): number =>
  floor + gain * Math.exp(-rate * (session - 1));

/** Fewer sessions would fit any curve. */
export const FEWEST_SESSIONS = 5;
/** Range of rates searched: from almost straight to learnt in one session. */
const RATES = [0.005, 3] as const;
const GRID = 24;

function curveOfRate(sessions: readonly number[], values: readonly number[], rate: number) {
  const decay = sessions.map((session) => Math.exp(-rate * (session - 1)));
  const { intercept, slope, rss } = leastSquares(decay, values);
  return { floor: intercept, gain: slope, rate, rss };
}

/**
 * Fits a learning curve by least squares. For a given rate, floor and gain are linear, so only the rate is searched.
 */
export function fitLearningCurve(
  sessions: readonly number[],
  values: readonly number[],
): Result<LearningCurve> {
  const different = new Set(sessions).size;
  if (different < FEWEST_SESSIONS)
    return wrong('sessions', different, `at least ${FEWEST_SESSIONS} sessions`);
  const [from, to] = RATES.map(Math.log) as [number, number];
  const rss = (lnRate: number) => curveOfRate(sessions, values, Math.exp(lnRate)).rss;
  const step = (to - from) / GRID;
  const grid = Array.from({ length: GRID + 1 }, (_, i) => from + i * step);
  const coarse = grid.reduce((best, each) => (rss(each) < rss(best) ? each : best));
  const lnRate = goldenSection(
    rss,
    Math.max(from, coarse - step),
    Math.min(to, coarse + step),
    1e-6,
  );
  return ok(curveOfRate(sessions, values, Math.exp(lnRate)));
}

/** A forecast of a course, with its uncertainty. */
export interface Forecast {
  readonly curve: LearningCurve;
  /** The curve's interval at each session up to the horizon. */
  readonly bands: readonly Interval[];
  /** First session at which the curve meets the threshold; `null` if not within the horizon. */
  readonly metAt: number | null;
  /** Interval of that session by resampling; `high` is `null` if too few resamples meet the threshold. */
  readonly likely: { readonly low: number | null; readonly high: number | null };
  /** Share of resamples that meet the threshold within the horizon. */
  readonly chance: number;
  /** Share of resamples that have met it by the newest session. */
  readonly reachedChance: number;
  /** Whether the curve has met the threshold, and so have 95 % of resamples. */
  readonly hasReached: boolean;
}

const SURELY = 0.95;

/** What is asked of a forecast. */
export interface ForecastSettings {
  readonly thresholdMs: number;
  /** The last session forecast. */
  readonly horizon: number;
  readonly resamples: number;
  readonly random: Random;
  readonly progress?: (share: number) => void;
}

function meets(curve: LearningCurve, thresholdMs: number, horizon: number): number | null {
  for (let session = 1; session <= horizon; session++)
    if (curveAt(curve, session) <= thresholdMs) return session;
  return null;
}

const numberOrNull = (value: number): number | null => (Number.isFinite(value) ? value : null);

/**
 * A learning curve carried on to a horizon, its doubt found by fitting again and again to the curve
 * with its own residuals shuffled onto it (residual bootstrap).
 */
export function forecast(
  sessions: readonly number[],
  values: readonly number[],
  { thresholdMs, horizon, resamples, random, progress = () => undefined }: ForecastSettings,
): Result<Forecast> {
  const fit = fitLearningCurve(sessions, values);
  if (!fit.ok) return fit;
  const curve = fit.value;
  const fitted = sessions.map((session) => curveAt(curve, session));
  // Three parameters were fitted, so residuals are smaller than the errors.
  const inflate = Math.sqrt(sessions.length / Math.max(1, sessions.length - 3));
  const residuals = values.map((value, i) => (value - (fitted[i] ?? NaN)) * inflate);
  const again = Array.from({ length: resamples }, (_, n) => {
    if (n % 20 === 0) progress(n / resamples);
    const noisy = fitted.map(
      (value) => value + (residuals[Math.floor(random() * residuals.length)] ?? 0),
    );
    const refit = fitLearningCurve(sessions, noisy);
    return refit.ok ? refit.value : curve;
  });
  const metAt = again
    .map((each) => meets(each, thresholdMs, horizon) ?? Infinity)
    .sort((a, b) => a - b);
  const tail = (1 - LEVEL) / 2;
  const curveMetAt = meets(curve, thresholdMs, horizon);
  const newest = Math.max(...sessions);
  const reachedChance = metAt.filter((session) => session <= newest).length / metAt.length;
  const nearest = (p: number) => metAt[Math.round(p * (metAt.length - 1))] ?? Infinity;
  return ok({
    curve,
    bands: Array.from({ length: horizon }, (_, i) => {
      const at = again.map((each) => curveAt(each, i + 1));
      return { low: quantile(at, tail), high: quantile(at, 1 - tail) };
    }),
    metAt: curveMetAt,
    likely: { low: numberOrNull(nearest(tail)), high: numberOrNull(nearest(1 - tail)) },
    chance: metAt.filter(Number.isFinite).length / metAt.length,
    reachedChance,
    hasReached: curveMetAt !== null && curveMetAt <= newest && reachedChance >= SURELY,
  });
}
