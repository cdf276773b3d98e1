import { betaCdf, betaQuantile, normalQuantile } from '../numeric/index.js';

/** An interval of a share, 0–1. */
export interface Share {
  readonly low: number;
  readonly high: number;
}

/** The posterior of a pass rate from a beta prior; (1, 1) is uniform. */
export interface Posterior {
  readonly mean: number;
  /** The central 90 %. */
  readonly interval90: Share;
  /** P(pass rate > threshold). */
  readonly above: (threshold: number) => number;
}

/** The beta posterior of a pass rate. */
export function posteriorOf(passes: number, trials: number, priorA = 1, priorB = 1): Posterior {
  const a = priorA + passes;
  const b = priorB + trials - passes;
  return {
    mean: a / (a + b),
    interval90: { low: betaQuantile(0.05, a, b), high: betaQuantile(0.95, a, b) },
    // Computed from the other tail: one minus a number close to one would lose its digits.
    above: (threshold) => betaCdf(1 - threshold, b, a),
  };
}

/** Wilson's interval of a share (Wilson 1927); the whole range without trials. */
export function wilson(passes: number, trials: number, confidence = 0.95): Share {
  if (trials === 0) return { low: 0, high: 1 };
  const z = normalQuantile((1 + confidence) / 2);
  const share = passes / trials;
  const scale = 1 + z ** 2 / trials;
  const centre = (share + z ** 2 / (2 * trials)) / scale;
  const half = (z / scale) * Math.sqrt((share * (1 - share)) / trials + z ** 2 / (4 * trials ** 2));
  return { low: Math.max(0, centre - half), high: Math.min(1, centre + half) };
}
