import type { Comparison } from '@orthokin/core/stats';
import { capital, seconds, secondsWithUnit } from './format.js';
import { signed } from './set.js';

/** What two groups of reps say of each other, with numbers and doubt. */
export function compareSentence(
  comparison: Comparison | null,
  duration: string,
  second: string,
): string {
  if (!comparison) return `Too few ${duration} times to compare: four are needed on either side.`;
  const { n, medianMs, shiftMs, interval } = comparison;
  const figures = `${duration} ${seconds(medianMs[0])} s (${n[0]} reps) and ${seconds(medianMs[1])} s (${n[1]})`;
  const doubt = interval ? `, 95 % ${signed(interval.low)} to ${signed(interval.high)} s` : '';
  if (!interval || (interval.low <= 0 && interval.high >= 0))
    return `${capital(figures)}: no clear difference${doubt}.`;
  return `${capital(figures)}: the ${second} typically ${secondsWithUnit(Math.abs(shiftMs))} ${shiftMs < 0 ? 'quicker' : 'slower'}${doubt}.`;
}

export const notAlikeSentence = (differs: readonly string[]): string =>
  `Not to be compared in figures: different ${new Intl.ListFormat('en').format(differs)}.`;
