import type { Comparison, CourseSet, SuggestedPair } from '@orthokin/core/stats';
import { capital, dayWords, listWords, seconds, secondsWithUnit } from './format.js';
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

/** What a suggested pair is, as its name. */
export function pairTitle({ of, sides: [a, b] }: SuggestedPair): string {
  switch (of) {
    case 'first and newest':
      return say('firstAndNewest');
    case 'best and newest':
      return say('bestAndNewest');
    case 'left and right':
      return say('leftAndRight');
    case 'mirror':
      return say('acrossFrom', { a: listWords(a.letters), b: listWords(b.letters) });
  }
}

/** What it lays beside what: the days, or the targets and out of how many sets. */
export function pairWhy(
  { of, sides: [a, b], duration }: SuggestedPair,
  setOf: (setId: string) => Pick<CourseSet, 'atMs' | 'rung'> | undefined,
): string {
  const day = (setId = '') => {
    const set = setOf(setId);
    return set ? dayWords(new Date(set.atMs).toISOString()) : '';
  };
  const days = { a: day(a.setIds[0]), b: day(b.setIds[0]), duration };
  switch (of) {
    case 'first and newest':
      return say('firstAndNewestWhy', { ...days, rung: setOf(a.setIds[0] ?? '')?.rung ?? '' });
    case 'best and newest':
      return say('bestAndNewestWhy', days);
    case 'left and right':
      return say('leftAndRightWhy', {
        ...{ a: listWords(a.letters), b: listWords(b.letters), sets: a.setIds.length },
      });
    case 'mirror':
      return say('acrossFromWhy', { sets: a.setIds.length });
  }
}
