import type { Audit } from '@orthokin/core/drill';
import { percent } from './format.js';
import { audit as en } from './en/audit.js';
import { speaker } from './say.js';

const say = speaker(en);

/** Above this over blind chance a caller has habits that an athlete can learn. */
const LEARNABLE = 1.6;

/** What was really called, in words: counts, runs, and how guessable it was. */
export function auditSentence(audit: Audit): string {
  const { counts, longestRun, guessRateFromPrevious, fairRate } = audit;
  const called = counts.map(({ target, count }) => `${target} ${count}`).join(', ');
  const guess = say('guessingFromLastCallRightGuessratefromprevious', {
    guessRateFromPrevious: percent(guessRateFromPrevious),
    fairRate: percent(fairRate),
  });
  const verdict =
    guessRateFromPrevious > LEARNABLE * fairRate
      ? say('callingCouldLearnt')
      : say('callingWasFair');
  return say('verdictGuessCalledCalledLongestRun', { verdict, guess, called, longestRun });
}
