import type { Better, CourseDuration, Forecast, Kendall } from '@orthokin/core/stats';
import type { Problem, Result } from '@orthokin/core/result';
import { capital, count, seconds, secondsWithUnit } from '../../parts/format.js';

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

/** What that answer rests on, and its doubt. */
export function doubtSentence({
  change,
  before,
  after,
  typicalErrorMs,
  repeats,
  worthwhileFrom,
}: Better): string {
  const { detectableMs, worthwhileMs, fasterChance, slowerChance, beyondDetectable } = change;
  const sets = `${count(before.length, 'set')} before, ${count(after.length, 'set')} after`;
  const error = `one set is sure to about ±${secondsWithUnit(typicalErrorMs)} (typical error of ${count(repeats, 'repeat')})`;
  const reach = beyondDetectable
    ? `more than the ${secondsWithUnit(detectableMs)} that chance alone would seldom make`
    : `within the ${secondsWithUnit(detectableMs)} that chance alone can make`;
  const worth =
    worthwhileFrom === 'the squad'
      ? 'a fifth of the squad’s spread'
      : 'three tenths of the typical error';
  return `${sets}; ${error}, so the change is ${reach}. Chance that it is faster by at least ${secondsWithUnit(worthwhileMs)} (${worth}): ${chanceWords(fasterChance)}; slower by as much: ${chanceWords(slowerChance)}.`;
}

/** Why two spans cannot be compared, and what would help. */
export const whyNotSentence = ({ field, given, allowed }: Problem): string =>
  field === 'repeats'
    ? `Too early to say: ${given} repeated sets; ${allowed} tell what one set varies by.`
    : `Not to be compared: ${given} in both spans; it takes ${allowed}. Run the standard test again.`;

/** When a threshold is likely met, with its doubt. */
export function forecastSentence(
  result: Result<Forecast>,
  { thresholdMs, horizon, done }: { thresholdMs: number; horizon: number; done: number },
): string {
  if (!result.ok)
    return `No forecast yet: ${result.problem.given} sessions, ${result.problem.allowed} needed.`;
  const { metAt, likely, chance } = result.value;
  const limit = secondsWithUnit(thresholdMs);
  if (metAt !== null && metAt <= done)
    return `The course has reached ${limit}: the curve met it in session ${metAt}.`;
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
  if (n < 6) return `Too few sets to say whether speed is bought with technique (${n}, 6 needed).`;
  const figures = `over ${n} sets, rank correlation of ${duration} and clean share ${tau.toFixed(2).replace('-', '−')}`;
  if (p > SURE_P)
    return `No sign that speed is bought with technique (${figures}, could be chance).`;
  return tau > 0
    ? `Speed is bought with technique: the faster the set, the fewer clean reps (${figures}). Ease the pace until they are clean.`
    : `The faster sets are also the cleaner ones (${figures}).`;
}
