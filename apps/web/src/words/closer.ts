import type { Result } from '@orthokin/core/result';
import {
  contains,
  isNewLean,
  type Asymmetry,
  type CloserLook,
  type ExGaussianFit,
  type HickLine,
  type LeanChange,
  type MedianWithDoubt,
  type Standing,
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

/** By days, over all rungs, where there are enough of them: reps of one day share its form. */
export function sidesSentence({
  sides,
  lean,
  leanChange,
}: Pick<CloserLook, 'sides'> & Pick<Standing, 'lean' | 'leanChange'>): string {
  const figures = sides && figuresOf(sides);
  const onRung = figures === null ? '' : say('onThisRungFigures', { figures });
  if (isNewLean(leanChange)) return newLeanSentence(leanChange, onRung);
  if (lean)
    return sideWords(
      lean.percent,
      contains(lean.interval, 0),
      say('overDaysDays95SignedpercentSignedpercent2', {
        days: lean.days,
        signedPercent: signedPercent(lean.interval.low),
        signedPercent2: signedPercent(lean.interval.high),
      }),
      onRung,
    );
  if (!sides || figures === null) return say('sidesCannotComparedTakesFourCounted');
  const { percent, interval, isDifferent } = sides;
  const between = interval
    ? say('n95SoFewDaysRepsSignedpercent', {
        signedPercent: signedPercent(interval.low),
        signedPercent2: signedPercent(interval.high),
      })
    : '';
  return sideWords(percent, !isDifferent, figures, between);
}

const figuresOf = ({ left, right }: Asymmetry): string =>
  say('leftMedianmsSNRightMedianms2', {
    medianMs: seconds(left.medianMs),
    n: left.n,
    medianMs2: seconds(right.medianMs),
    n2: right.n,
  });

const sideOf = (percent: number): string => (percent > 0 ? 'left' : 'right');

const sideWords = (percent: number, isAlike: boolean, figures: string, between: string): string =>
  isAlike
    ? say('noClearDifferenceBetweenSidesFigures', { figures, between })
    : say('slowerWhichAbsFiguresBetween', {
        ...{ which: sideOf(percent), abs: Math.abs(percent).toFixed(1), figures, between },
      });

function newLeanSentence(
  { percent, nowPercent, daysBefore, daysNow }: LeanChange,
  onRung: string,
): string {
  const before = nowPercent - percent;
  return say('slowerWhichAbsWhichIsNew', {
    which: sideOf(nowPercent),
    abs: Math.abs(nowPercent).toFixed(1),
    sideBefore: sideOf(before),
    before: Math.abs(before).toFixed(1),
    ...{ daysBefore, daysNow, figures: onRung },
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
