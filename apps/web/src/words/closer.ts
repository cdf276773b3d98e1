import type { Result } from '@orthokin/core/result';
import {
  contains,
  type Asymmetry,
  type CloserLook,
  type ExGaussianFit,
  type HickLine,
  type MedianWithDoubt,
  type SideLean,
} from '@orthokin/core/stats';
import { capital, seconds, secondsWithUnit } from './format.js';

export const medianSentence = (
  name: string,
  { n, ms, interval, lapses }: MedianWithDoubt,
): string => {
  const doubt = interval ? ` (95 % ${seconds(interval.low)}–${seconds(interval.high)})` : '';
  const slow = lapses > 0 ? `, ${lapses} far slower than the rest` : '';
  return `${capital(name)} ${secondsWithUnit(ms)}${doubt} over ${n} reps${slow}.`;
};

export function tailSentence(fit: Result<ExGaussianFit>): string {
  if (!fit.ok)
    return `The tail of the reactions needs ${fit.problem.allowed}; there are ${fit.problem.given}.`;
  const { mu, sigma, tau, se, n } = fit.value;
  const sure = Number.isFinite(se.tau) ? ` ± ${seconds(2 * se.tau)}` : '';
  const words =
    tau > 1.5 * sigma
      ? 'Lapses make the slow reactions: the usual one is quicker than the average says.'
      : 'Few lapses: slow reactions are about as far off as quick ones.';
  return `${words} Usual reaction ${seconds(mu)} s, spread ${seconds(sigma)} s, slow tail ${seconds(tau)}${sure} s (ex-Gaussian, ${n} reps).`;
}

/** By days where there are enough of them: reps of one day share its form. */
export function sidesSentence({ sides, lean }: Pick<CloserLook, 'sides' | 'lean'>): string {
  if (sides && lean) return leanSentence(lean, sides);
  if (!sides)
    return 'Sides cannot be compared: it takes four counted reps each to targets that mirror each other.';
  const { percent, interval, left, right, isDifferent } = sides;
  const figures = `left ${seconds(left.medianMs)} s (${left.n}), right ${seconds(right.medianMs)} s (${right.n})`;
  const between = interval
    ? `, 95 % of so few days’ reps ${signedPercent(interval.low)} to ${signedPercent(interval.high)} %`
    : '';
  if (!isDifferent) return `No clear difference between the sides: ${figures}${between}.`;
  const slower = percent > 0 ? 'left' : 'right';
  return `Slower to the ${slower} by ${Math.abs(percent).toFixed(1)} %: ${figures}${between}.`;
}

function leanSentence({ percent, interval, days }: SideLean, { left, right }: Asymmetry): string {
  const figures = `left ${seconds(left.medianMs)} s (${left.n}), right ${seconds(right.medianMs)} s (${right.n})`;
  const between = `, over ${days} days 95 % ${signedPercent(interval.low)} to ${signedPercent(interval.high)} %`;
  if (contains(interval, 0)) return `No clear difference between the sides: ${figures}${between}.`;
  return `Slower to the ${percent > 0 ? 'left' : 'right'} by ${Math.abs(percent).toFixed(1)} %: ${figures}${between}.`;
}

const signedPercent = (percent: number): string => percent.toFixed(1).replace('-', '−');

export function hickSentence(line: Result<HickLine>): string {
  if (!line.ok)
    return `What choice costs is not known: it takes ${line.problem.allowed} in play, and there are ${line.problem.given}.`;
  const { msPerBit, slopeSe, interceptMs, n } = line.value;
  return `Each doubling of the targets in play costs ${seconds(msPerBit)} ± ${seconds(2 * slopeSe)} s of reaction, from ${seconds(interceptMs)} s with one (${n} reps). Practice and rungs run side by side in time, so part of it is learning.`;
}
