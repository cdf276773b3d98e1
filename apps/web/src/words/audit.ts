import type { Audit } from '@orthokin/core/drill';
import { percent } from './format.js';

/** Above this over blind chance a caller has habits that an athlete can learn. */
const LEARNABLE = 1.6;

/** What was really called, in words: counts, runs, and how guessable it was. */
export function auditSentence(audit: Audit): string {
  const { counts, longestRun, guessRateFromPrevious, fairRate } = audit;
  const called = counts.map(({ target, count }) => `${target} ${count}`).join(', ');
  const guess = `guessing from the last call is right ${percent(guessRateFromPrevious)} of the time, blind chance ${percent(fairRate)}`;
  const verdict =
    guessRateFromPrevious > LEARNABLE * fairRate
      ? 'The calling could be learnt'
      : 'The calling was fair';
  return `${verdict}: ${guess}. Called ${called}; longest run ${longestRun}.`;
}
