import type { Result } from '@orthokin/core/result';
import type { Asymmetry, ExGaussianFit, HickLine, MedianWithDoubt } from '@orthokin/core/stats';
import { capital, seconds, secondsWithUnit } from '../../parts/format.js';

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

export function sidesSentence(sides: Asymmetry | null): string {
  if (!sides)
    return 'Sides cannot be compared: it takes four counted reps each to targets that mirror each other.';
  const { percent, interval, left, right, isDifferent } = sides;
  const figures = `left ${seconds(left.medianMs)} s (${left.n}), right ${seconds(right.medianMs)} s (${right.n})`;
  const between = interval
    ? `, 95 % ${interval.low.toFixed(1).replace('-', '−')} to ${interval.high.toFixed(1).replace('-', '−')} %`
    : '';
  if (!isDifferent) return `No clear difference between the sides: ${figures}${between}.`;
  const slower = percent > 0 ? 'left' : 'right';
  return `Slower to the ${slower} by ${Math.abs(percent).toFixed(1)} %: ${figures}${between}.`;
}

export function hickSentence(line: Result<HickLine>): string {
  if (!line.ok)
    return `What choice costs is not known: ${line.problem.given} different numbers of targets, ${line.problem.allowed.replace('different numbers of targets', '').trim()} needed.`;
  const { msPerBit, slopeSe, interceptMs, n } = line.value;
  return `Each doubling of the targets in play costs ${seconds(msPerBit)} ± ${seconds(2 * slopeSe)} s of reaction, from ${seconds(interceptMs)} s with one (${n} reps). Practice and rungs run side by side in time, so part of it is learning.`;
}
