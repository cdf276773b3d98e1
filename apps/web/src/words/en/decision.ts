export const decision = {
  falsestartsCuedrepsAllowedAllowed:
    '{falseStarts, plural, one {# false start} other {# false starts}} in {cuedReps}, {allowed} allowed',
  cleanCuedrepsRepsWithoutFaultNeeded:
    '{clean} of {cuedReps} reps without a fault, {needed} needed',
  heldTrialsHeldNeededNeeded:
    '{held} of {trials, plural, one {# wait} other {# waits}} without a cue held, {needed} needed',
  middleHalfCyclesSpreadsOverShare:
    'the middle half of the cycles spreads over {share} of the median, {most} allowed',
  coachEventLate: '{event} comes {overMs} too late',
  coachEventSooner: 'too few reps keep every limit at once, {event} least often',
  gateTooCloseCall: '{gate} is too close to call',
  tooFewRepsKeepEveryLimit: 'too few reps keep every limit at once, {gate} least often',
  gateHairTooSlowLessThan: '{gate} is a hair too slow, by less than 0.01 s',
  gateOvermsTooSlow: '{gate} is {overMs} too slow',
  nameWasNotTimedN: '{name} was not timed in {n, plural, one {# rep} other {# reps}}',
  moveUpAfterSetsneededLastOflast:
    'Move up after {setsNeeded} of the last {ofLast} sets on a rung passed, on {distinctDays, plural, one {# day} other {# days}}.',
  moveUpWhenRepsSayP1:
    'Move up when the reps say that {p1} pass rather than {p0}: of those who pass only {p0}, one test moves up one in {round}.',
  paceQuickensAfterPassesinarowPassesRow:
    'The pace quickens after {passesInARow} passes in a row and eases after a fail; move up when the mean of the last {reversals} reversals is within the limit of the cycle.',
  nextNone: 'next to none',
  n1Round: '1 in {round}',
  n: '{n} in {of}',
  roundReps10: '{round} reps of 10',
  within20SetsMovesUpInwords:
    'Within 20 sets it moves up {inWords} of those who pass {reps}; those who pass {reps2} wait {round} sets.',
  anotherDay: 'another day',
  daysOtherDays: '{days} other days',
  oneSetMustPassWhich: 'one set must pass on {which}',
  anotherDay2: ', on another day',
  setsMustPassWhich: '{sets, plural, one {# more set} other {# more sets}} must pass{which}',
  passestogoRowWouldEnoughEvidenceUpper:
    '{passesToGo, plural, one {# more pass} other {# more passes}} in a row would be enough (evidence {at} of {upper})',
  rungNeedsLimitCycle: 'the rung needs a limit for the cycle',
  setPaceMovesItself: 'a set at a pace that moves by itself',
  neededPace: '{needed, plural, one {# more reversal} other {# more reversals}} of the pace',
  paceSettledThresholdmsThresholdms2Over: 'the pace settled at {thresholdMs}, {thresholdMs2} over',
  moveUpRungRungRuleMet: 'Move up to rung {rung}: the rule is met.',
  easeBackRungRungTechniqueFailed:
    'Ease back to rung {rung}: technique failed in two sets running.',
  easeBackRungRungOnlyPassrate: 'Ease back to rung {rung}: only {passRate} of the reps passed.',
  restBeforeNextSetCycleGrew:
    'Rest before the next set: the cycle grew from {firstThirdMs} to {lastThirdMs} within the set.',
  rungRungMetTopOne: 'Rung {rung} is met, and it is the top one.',
  stayRungRungHoweverFastWhich: 'Stay on rung {rung}, however fast: {which}.',
  stayRungRungWhich: 'Stay on rung {rung}: {which}.',
  nothingShownRungRungYet: 'Nothing shown on rung {rung} yet.',
  notEnoughRepsYetLackwords: 'Not enough reps yet: {lackWords}.',
  passedNotEnoughSetsYetMissing: 'Passed, but not enough sets yet: {missing}.',
  notEnoughRepsYetMissing: 'Not enough reps yet: {missing}.',
  ruleAsksSetsneededLastOflastSets:
    'The rule asks for {setsNeeded} of the last {ofLast} sets on this rung, on {distinctDays, plural, one {# day} other {# days}}',
  askedNoneHadEnoughRepsYet: '{asked}; none had enough reps yet.',
  dayspassed: ', on {daysPassed, plural, one {# day} other {# days}}',
  missingMissing: 'Missing: {missing}.',
  met: 'It is met.',
  coachEventTrain: 'Ease the pace until “{event}” comes in time, call it out, then quicken again.',
  catchTrialsWaitsDoNotAge:
    'some waits without any cue, and waits that nobody can guess the end of: land, look, then go.',
  rehearsePositionsSlowlyTwoFaultsWatched:
    'rehearse the positions slowly, two faults watched at most.',
  fewerTargetsPlaySplitStepTimed: 'fewer targets in play, or the split-step timed to the cue.',
  wayOutFirstStepStraightLine: 'the way out: first step, and the straight line to the target.',
  wayHomePushOffActionAll: 'the way home: push off at the action, and all the way back.',
  wholeRepsShortSetsMoreRest: 'whole reps, short sets, more rest between them.',
  samePaceEveryRepBeforeFaster: 'the same pace for every rep, before a faster one.',
  readyMoveUp: 'Ready to move up',
  easeBackRung: 'Ease back a rung',
  restFirstSteepFade: 'Rest first: a steep fade',
  topRungMet: 'Top rung met',
  stayLackwords: 'Stay: {lackWords}',
  noSetThisRungYet: 'No set on this rung yet',
  notEnoughRepsYet: 'Not enough reps yet',
  notEnoughYetMissing: 'Not enough yet: {missing}',
  repsNeededNeeded: '{reps, plural, one {# valid rep} other {# valid reps}}, {needed} needed',
  askedSetspassedSetsseenPassedWhich: '{asked}; {setsPassed} of {setsSeen} passed{which}.',
  passedNotEnoughSetsYet: 'Passed; not enough sets yet',
} as const;
