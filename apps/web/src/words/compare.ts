import type { Comparison } from '@orthokin/core/stats';
import { capital, listWords, seconds, secondsWithUnit } from './format.js';
import { signed } from './set.js';
import { compare as en } from './en/compare.js';
import { speaker } from './say.js';

const say = speaker(en);

/** What two groups of reps say of each other, with numbers and doubt. */
export function compareSentence(
  comparison: Comparison | null,
  duration: string,
  second: string,
): string {
  if (!comparison) return say('tooFewDurationTimesCompareFour', { duration });
  const { n, medianMs, shiftMs, interval } = comparison;
  const figures = say('durationMedianmsSNRepsMedianms2', {
    duration,
    medianMs: seconds(medianMs[0]),
    n: n[0],
    medianMs2: seconds(medianMs[1]),
    n2: n[1],
  });
  const doubt = interval
    ? say('n95LowHighS', { low: signed(interval.low), high: signed(interval.high) })
    : '';
  if (!interval || (interval.low <= 0 && interval.high >= 0))
    return say('figuresNoClearDifferenceDoubt', { figures: capital(figures), doubt });
  return say('figuresSecondTypicallyAbsWhichDoubt', {
    figures: capital(figures),
    second,
    abs: secondsWithUnit(Math.abs(shiftMs)),
    which: shiftMs < 0 ? 'quicker' : 'slower',
    doubt,
  });
}

export const notAlikeSentence = (differs: readonly string[]): string =>
  say('notComparedFiguresDifferentFormat', { format: listWords(differs) });
