export const set = {
  tooFewRepsSayWhetherSet: 'Too few reps to say whether the set faded.',
  n95BetweenSlopeSlope2: ' (95 % between {slope} and {slope2})',
  firstThirdFirstthirdmsLastLastthirdmsEach:
    'first third {firstThirdMs}, last {lastThirdMs}, each target’s own time set aside',
  fadedNameGrewSlopeSRep:
    'It faded: {name} grew by {slope} s a rep{between} over {n} reps; {thirds}. Rest longer, or fewer reps.',
  spedUpNameFellSlope:
    'It sped up: {name} changed by {slope} s a rep{between} over {n} reps; {thirds}.',
  noClearChangeNameChangedSlope:
    'No clear change within the set: {name} changed by {slope} s a rep{between} over {n} reps; {thirds}.',
  travelLineNWaysAccelerationM:
    'travel line of {n} ways: {acceleration} m/s² and up to {topSpeed} m/s',
  noTargetTakesLongerThanIts: 'No target takes longer than its distance explains ({line}).',
  letterNameTakesMsSLonger:
    '{letter}, {name}, takes {ms} s longer to reach than its distance explains, sure to ±{sure} s ({line}).',
  heldStillHeldCatches:
    'held still in {held} of {catches, plural, one {# wait} other {# waits}} without a cue',
  followedRightSwitches:
    'followed {right} of {switches, plural, one {# switched cue} other {# switched cues}}',
  heldPointsRightFreezes:
    '{held} of {points, plural, one {# check point} other {# check points}} right in {freezes, plural, one {# freeze call} other {# freeze calls}}',
  freezesNotChecked: '{freezes, plural, one {# freeze call} other {# freeze calls}}, not checked',
  apartFromTimedRepsParts: 'Apart from the timed reps: {parts}.',
  nothingWasTimedBoth: 'Nothing of it was timed in both.',
  noPhaseDiffersMoreThanTimings: 'No phase differs by more than the timing’s own error.',
  mostDiffersMostMsS: '{most} differs most: {ms} s.',
} as const;
