export const report = {
  plainCycle: 'A whole rep, from the call until ready again',
  plainReaction: 'Setting off after the call',
  plainRecovery: 'Getting back to the middle, ready for the next',
  plainNotYet: '{what}: not enough training days yet to compare.',
  plainNoChange:
    '{what}: no clear change yet ({before} s, lately {after}). Two days differ by that much anyway.',
  plainClearly: '{what}: clearly {way}, by {by} ({before} s, now {after}).',
  plainProbably: '{what}: probably {way}, by {by} ({before} s, now {after}). More days will tell.',
  standsAt: '{name} works on {patternName} and stands on step {rung} of {rungs}: {rungName}.',
  homeWalk:
    'Walk the pattern slowly, ten times each way: out, stop, and all the way back. No clock.',
  homeStance: 'Between reps stand ready: feet wide, weight even, knees bent, chest forward.',
  lowHigh: '{low} to {high}',
  sumSum2WithoutFaultWasSeen:
    '{sum} of {sum2, plural, one {# rep} other {# reps}} without a fault that was seen, {sum3, plural, one {# false start} other {# false starts}}',
  techniqueFirstWordsLatelyWords2: 'Technique: at first {words}; lately {words2}.',
  leftRightCouldNotCompared: 'Left and right could not be compared.',
  overDays95LowHigh: 'over {days, plural, one {# day} other {# days}}, 95 % {low} to {high} %',
  leftRightNoClearDifferenceOver: 'Left and right: no clear difference ({over}).',
  leftRightSlowerWhichIsNew:
    'Left and right: slower to the {side} by {abs} % (over the newest {daysNow} days), which is new.',
  leftRightSlowerSideAbsOver: 'Left and right: slower to the {side} by {abs} % ({over}).',
  reactionFromCueFirstMovementToward:
    'Reaction: from the cue to the first movement toward the target.',
  travelFromThereUntilFootPlanted: 'Travel: from there until the foot is planted at the target.',
  recoveryFromActionBackHomeBoth: 'Recovery: from the action back to home, both feet down, ready.',
  clearlyChangeLargerThanDaysOwn:
    'Clearly: a change larger than the days’ own form would seldom make, and worth having. Probably: likely, not proven.',
  worksPatternnameRungRungRungsRungname:
    'Works on {patternName}, rung {rung} of {rungs}: {rungName}.',
  limitsThisRungMetMoveUp: 'The limits of this rung are met: move up.',
  whatHoldsNextRungBackLackwords: 'What holds the next rung back: {lackWords}.',
  earlyLastCuedSayMend:
    '{early} in the last {cued, plural, one {# cue} other {# cues}}. {say} {mend}',
  shortSetsAllWayHomeTurn:
    'Short sets of all the way home: turn at once, low, eyes up, the same stance again.',
  runStandardTestAgainFourSix: 'Run the standard test again in four to six weeks, the same way.',
  noteOnlyWhatClinicianChargeHas: '{note} Only what the clinician in charge has cleared.',
  underAgeGuardiansAgreementLoadsSuit:
    'Under age: with a guardian’s agreement, and loads that suit the age.',
  warmUpFirstClearDryFloor: 'Warm up first. Clear, dry floor and free run-off round the markers.',
  stopPainDizzinessBreathlessnessDoesNot:
    'Stop on pain, dizziness, or breathlessness that does not settle.',
  cycleFromCueUntilHomeAgain: 'Cycle: from the cue until home again; all of it together.',
  splitStepCueWeightEvenCatch:
    'Split-step with the cue, weight even; a wait without a cue now and then shows who goes early.',
  theseTimingFiguresNoMedicalAssessment:
    'These are timing figures, no medical assessment; local rules and licensed practice come first.',
} as const;
