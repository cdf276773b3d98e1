export const audit = {
  guessingFromLastCallRightGuessratefromprevious:
    'guessing from the last call is right {guessRateFromPrevious} of the time, blind chance {fairRate}',
  callingCouldLearnt: 'The calling could be learnt',
  callingWasFair: 'The calling was fair',
  verdictGuessCalledCalledLongestRun:
    '{verdict}: {guess}. Called {called}; longest run {longestRun}.',
} as const;
