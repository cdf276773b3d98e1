import type { Result } from '@orthokin/core/result';
import {
  isClear,
  type Better,
  type Change,
  type CourseDuration,
  type Forecast,
  type Kendall,
  type NotComparable,
} from '@orthokin/core/stats';
import { capital, count, seconds, secondsWithUnit } from './format.js';

/** A chance as a person says it; never surer than the model is. */
export function chanceWords(p: number): string {
  if (p > 0.99) return 'over 99 %';
  if (p < 0.01) return 'under 1 %';
  return `${Math.round(100 * p)} %`;
}

/** The answer to "is it better?", with its numbers. */
export function betterSentence({ change }: Pick<Better, 'change'>, duration: string): string {
  const { words, changeMs, beforeMs, afterMs } = change;
  const by = secondsWithUnit(Math.abs(changeMs));
  const course = `${seconds(beforeMs)} → ${secondsWithUnit(afterMs)}`;
  if (seconds(Math.abs(changeMs)) === '0.00')
    return `${capital(words)}: ${duration} ${course}, the same.`;
  return `${capital(words)}: ${duration} ${course}, ${by} ${changeMs < 0 ? 'less' : 'more'}.`;
}

/** How many more days would settle a change that is not clear; `null` of a clear one. */
export function settleSentence({ words, moreDays, changeMs }: Change): string | null {
  if (isClear(words)) return null;
  if (moreDays === null)
    return 'As it stands no number of days would make it clear: run the standard test again after some weeks.';
  const way = changeMs < 0 ? 'faster' : 'slower';
  return `About ${count(moreDays, 'more day')} like the last would make it clearly ${way}.`;
}

/** What that answer rests on, and its doubt. */
export function doubtSentence({ change, form, worthwhileFrom, formFrom }: Better): string {
  const { daysBefore, daysAfter, detectableMs, worthwhileMs, fasterChance, slowerChance } = change;
  const days = `It rests on ${count(daysBefore, 'day')} before and ${count(daysAfter, 'day')} after`;
  const dayMs = Math.sqrt(form.between.ms2);
  const own = `days differ by about ±${secondsWithUnit(dayMs)} though nothing is learnt (${formFrom === 'the squad' ? 'held toward what is usual in the squad' : 'held toward what is usual'})`;
  const reach =
    Math.abs(change.changeMs) > detectableMs
      ? `more than the ${secondsWithUnit(detectableMs)} that such days alone would seldom make`
      : `within the ${secondsWithUnit(detectableMs)} that such days alone can make`;
  const worth =
    worthwhileFrom === 'the squad'
      ? 'a fifth of the squad’s spread'
      : 'three tenths of what one set varies by';
  return `${days}; ${own}, so the change is ${reach}. Chance that it is faster by at least ${secondsWithUnit(worthwhileMs)} (${worth}): ${chanceWords(fasterChance)}; slower by as much: ${chanceWords(slowerChance)}.`;
}

/** Why two spans cannot be compared, and what would help. */
export function whyNotSentence(why: NotComparable): string {
  switch (why) {
    case 'no sets alike':
      return 'Not to be compared yet: it takes sets of two days that are alike in pattern version, rung, timing and kind of cue. Run the standard test again.';
    case 'a day in both':
      return 'Not to be compared: one day stands in both spans. Choose spans that share no day.';
  }
}

/** A course has reached a limit when so many of its resampled courses have. */
const SURELY = 0.95;

/** When a threshold is likely met, with its doubt. */
export function forecastSentence(
  result: Result<Forecast>,
  { thresholdMs, horizon, done }: { thresholdMs: number; horizon: number; done: number },
): string {
  if (!result.ok)
    return `No forecast yet: ${result.problem.given} sessions, ${result.problem.allowed} needed.`;
  const { metAt, likely, chance, reachedChance } = result.value;
  const limit = secondsWithUnit(thresholdMs);
  if (metAt !== null && metAt <= done)
    return reachedChance >= SURELY
      ? `The course has reached ${limit}: the curve met it in session ${metAt}.`
      : `The curve is at ${limit} now, but its days scatter: ${chanceWords(reachedChance)} of resampled courses have reached it.`;
  if (metAt === null)
    return `Not on this course: within the next ${count(horizon - done, 'session')} the curve does not reach ${limit} (${chanceWords(chance)} of resampled courses do).`;
  const range =
    likely.high === null
      ? `from session ${likely.low ?? metAt}, and perhaps never`
      : `between sessions ${likely.low ?? metAt} and ${likely.high}`;
  return `On this course ${limit} is met in about ${count(metAt - done, 'more session')}: session ${metAt}, 95 % ${range}.`;
}

const SURE_P = 0.05;

/** Whether speed is bought with technique. */
export function tradeSentence(
  { tau, p, n }: Kendall,
  duration: CourseDuration | 'cycle' = 'cycle',
): string {
  if (n < 6) return `Too few days to say whether speed is bought with technique (${n}, 6 needed).`;
  const figures = `over ${n} days, rank correlation of ${duration} and clean share ${tau.toFixed(2).replace('-', '−')}`;
  if (p > SURE_P)
    return `No sign that speed is bought with technique (${figures}, could be chance).`;
  return tau > 0
    ? `Speed is bought with technique: the faster the day, the fewer clean reps (${figures}). Ease the pace until they are clean.`
    : `The faster days are also the cleaner ones (${figures}).`;
}
