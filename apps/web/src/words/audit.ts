import type { Audit } from '@orthokin/core/drill';
import { commaList, percent } from './format.js';
import { audit as en } from './en/audit.js';
import { speaker } from './say.js';

const say = speaker(en);

/** What was really called, in words: counts, runs, and how guessable it was. */
export function auditSentence(audit: Audit): string {
  const { counts, longestRun, guessRateFromPrevious, fairRate } = audit;
  const called = commaList(counts.map(({ target, count }) => `${target} ${count}`));
  const guess = say('guessingFromLastCallRightGuessratefromprevious', {
    guessRateFromPrevious: percent(guessRateFromPrevious),
    fairRate: percent(fairRate),
  });
  const verdict = audit.isLearnable ? say('callingCouldLearnt') : say('callingWasFair');
  return say('verdictGuessCalledCalledLongestRun', { verdict, guess, called, longestRun });
}
