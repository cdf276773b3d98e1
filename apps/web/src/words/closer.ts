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
import { closer as en } from './en/closer.js';
import { speaker } from './say.js';

const say = speaker(en);

export const medianSentence = (
  name: string,
  { n, ms, interval, lapses }: MedianWithDoubt,
): string => {
  const doubt = interval ? ` (95 % ${seconds(interval.low)}–${seconds(interval.high)})` : '';
  const slow = lapses > 0 ? say('lapsesFarSlowerThanRest', { lapses }) : '';
  return say('nameMsDoubtOverNReps', {
    name: capital(name),
    ms: secondsWithUnit(ms),
    doubt,
    n,
    slow,
  });
};

export function tailSentence(fit: Result<ExGaussianFit>): string {
  if (!fit.ok)
    return say('tailReactionsNeedsAllowedThereGiven', {
      allowed: fit.problem.allowed,
      given: fit.problem.given,
    });
  const { mu, sigma, tau, se, n } = fit.value;
  const sure = Number.isFinite(se.tau) ? ` ± ${seconds(2 * se.tau)}` : '';
  const words =
    tau > 1.5 * sigma
      ? say('lapsesMakeSlowReactionsUsualOne')
      : say('fewLapsesSlowReactionsAboutFar');
  return say('wordsUsualReactionMuSSpread', {
    words,
    mu: seconds(mu),
    sigma: seconds(sigma),
    tau: seconds(tau),
    sure,
    n,
  });
}

/** By days where there are enough of them: reps of one day share its form. */
export function sidesSentence({ sides, lean }: Pick<CloserLook, 'sides' | 'lean'>): string {
  if (sides && lean) return leanSentence(lean, sides);
  if (!sides) return say('sidesCannotComparedTakesFourCounted');
  const { percent, interval, left, right, isDifferent } = sides;
  const figures = say('leftMedianmsSNRightMedianms2', {
    medianMs: seconds(left.medianMs),
    n: left.n,
    medianMs2: seconds(right.medianMs),
    n2: right.n,
  });
  const between = interval
    ? say('n95SoFewDaysRepsSignedpercent', {
        signedPercent: signedPercent(interval.low),
        signedPercent2: signedPercent(interval.high),
      })
    : '';
  if (!isDifferent) return say('noClearDifferenceBetweenSidesFigures', { figures, between });
  const slower = percent > 0 ? 'left' : 'right';
  return say('slowerSlowerAbsFiguresBetween', {
    slower,
    abs: Math.abs(percent).toFixed(1),
    figures,
    between,
  });
}

function leanSentence({ percent, interval, days }: SideLean, { left, right }: Asymmetry): string {
  const figures = say('leftMedianmsSNRightMedianms2', {
    medianMs: seconds(left.medianMs),
    n: left.n,
    medianMs2: seconds(right.medianMs),
    n2: right.n,
  });
  const between = say('overDaysDays95SignedpercentSignedpercent2', {
    days,
    signedPercent: signedPercent(interval.low),
    signedPercent2: signedPercent(interval.high),
  });
  if (contains(interval, 0))
    return say('noClearDifferenceBetweenSidesFigures', { figures, between });
  return say('slowerWhichAbsFiguresBetween', {
    which: percent > 0 ? 'left' : 'right',
    abs: Math.abs(percent).toFixed(1),
    figures,
    between,
  });
}

const signedPercent = (percent: number): string => percent.toFixed(1).replace('-', '−');

export function hickSentence(line: Result<HickLine>): string {
  if (!line.ok)
    return say('whatChoiceCostsNotKnownTakes', {
      allowed: line.problem.allowed,
      given: line.problem.given,
    });
  const { msPerBit, slopeSe, interceptMs, n } = line.value;
  return say('eachDoublingTargetsPlayCostsMsperbit', {
    msPerBit: seconds(msPerBit),
    slopeSe: seconds(2 * slopeSe),
    interceptMs: seconds(interceptMs),
    n,
  });
}
