import type { Result } from '@orthokin/core/result';
import {
  isClear,
  type Better,
  type Change,
  type CourseDuration,
  type Forecast,
  type SpeedForTechnique,
  type NotComparable,
} from '@orthokin/core/stats';
import { capital, seconds, secondsWithUnit } from './format.js';
import { change as en } from './en/change.js';
import { speaker } from './say.js';

const say = speaker(en);

/** A chance as a person says it; never surer than the model is. */
export function chanceWords(p: number): string {
  if (p > 0.99) return say('over99');
  if (p < 0.01) return say('under1');
  return `${Math.round(100 * p)} %`;
}

/** The answer to "is it better?", with its numbers. */
export function betterSentence({ change }: Pick<Better, 'change'>, duration: string): string {
  const { words, changeMs, beforeMs, afterMs } = change;
  const by = secondsWithUnit(Math.abs(changeMs));
  const course = `${seconds(beforeMs)} → ${secondsWithUnit(afterMs)}`;
  if (seconds(Math.abs(changeMs)) === '0.00')
    return say('wordsDurationCourseSame', { words: capital(words), duration, course });
  return say(changeMs < 0 ? 'wordsCourseLess' : 'wordsCourseMore', {
    ...{ words: capital(words), duration, course, by },
  });
}

/** How many more days would settle a change that is not clear; `null` of a clear one. */
export function settleSentence({ words, moreDays, changeMs }: Change): string | null {
  if (isClear(words)) return null;
  if (moreDays === null) return say('standsNoNumberDaysWouldMake');
  const way = changeMs < 0 ? 'faster' : 'slower';
  return say('aboutMoredaysLikeLastWouldMake', { moreDays, way });
}

/** What that answer rests on, and its doubt. */
export function doubtSentence({ change, form, worthwhileFrom, formFrom }: Better): string {
  const { daysBefore, daysAfter, detectableMs, worthwhileMs, fasterChance, slowerChance } = change;
  const days = say('restsDaysbeforeBeforeDaysafterAfter', { daysBefore, daysAfter });
  const dayMs = Math.sqrt(form.between.ms2);
  const which =
    formFrom === 'the squad' ? say('heldTowardWhatUsualSquad') : say('heldTowardWhatUsual');
  const own =
    seconds(dayMs) === '0.00'
      ? say('daysHardlyDifferThoughNothing', { which })
      : say('daysDifferAboutDaymsThoughNothing', { dayMs: secondsWithUnit(dayMs), which });
  const reach =
    Math.abs(change.changeMs) > detectableMs
      ? say('moreThanDetectablemsSuchDaysAlone', { detectableMs: secondsWithUnit(detectableMs) })
      : say('withinDetectablemsSuchDaysAloneCan', { detectableMs: secondsWithUnit(detectableMs) });
  const worth =
    worthwhileFrom === 'the squad' ? say('fifthSquadsSpread') : say('threeTenthsWhatOneSetVaries');
  return say('daysOwnSoChangeReachChance', {
    days,
    own,
    reach,
    worthwhileMs: secondsWithUnit(worthwhileMs),
    worth,
    chanceWords: chanceWords(fasterChance),
    chanceWords2: chanceWords(slowerChance),
  });
}

/** Why two spans cannot be compared, and what would help. */
export function whyNotSentence(why: NotComparable): string {
  switch (why) {
    case 'no sets alike':
      return say('notComparedYetTakesSetsTwo');
    case 'a day in both':
      return say('notComparedOneDayStandsBoth');
  }
}

/** When a threshold is likely met, with its doubt. */
export function forecastSentence(
  result: Result<Forecast>,
  { thresholdMs, horizon, done }: { thresholdMs: number; horizon: number; done: number },
): string {
  if (!result.ok)
    return say('noForecastYetGivenSessionsAllowed', {
      given: result.problem.given,
      allowed: result.problem.allowed,
    });
  const { metAt, likely, chance, reachedChance, hasReached } = result.value;
  const limit = secondsWithUnit(thresholdMs);
  if (metAt !== null && metAt <= done)
    return hasReached
      ? say('courseHasReachedLimitCurveMet', { limit, metAt })
      : say('curveLimitNowButItsDays', { limit, chanceWords: chanceWords(reachedChance) });
  if (metAt === null)
    return say('notThisCourseWithinNextHorizon', {
      horizon: horizon - done,
      limit,
      chanceWords: chanceWords(chance),
    });
  const range =
    likely.high === null
      ? say('fromSessionLowPerhapsNever', { low: likely.low ?? metAt })
      : say('betweenSessionsLowHigh', { low: likely.low ?? metAt, high: likely.high });
  return say('thisCourseLimitMetAboutMetat', { limit, metAt: metAt - done, metAt2: metAt, range });
}

/** Whether speed is bought with technique. */
export function tradeSentence(
  { tau, n, trade }: SpeedForTechnique,
  duration: CourseDuration | 'cycle' = 'cycle',
): string {
  const figures = say('overNDaysRankCorrelationDuration', {
    n,
    duration,
    tau: tau.toFixed(2).replace('-', '−'),
  });
  switch (trade) {
    case 'unknown':
      return say('tooFewDaysSayWhetherSpeed', { n });
    case 'no sign':
      return say('noSignSpeedBoughtTechniqueFigures', { figures });
    case 'speed costs technique':
      return say('speedBoughtTechniqueFasterDayFewer', { figures });
    case 'both together':
      return say('fasterDaysAlsoCleanerOnesFigures', { figures });
  }
}
