export const closer = {
  lapsesFarSlowerThanRest: ', {lapses} far slower than the rest',
  nameMsDoubtOverNReps: '{name} {ms}{doubt} over {n} reps{slow}.',
  tailReactionsNeedsAllowedThereGiven:
    'The tail of the reactions needs {allowed}; there are {given}.',
  lapsesMakeSlowReactionsUsualOne:
    'Lapses make the slow reactions: the usual one is quicker than the average says.',
  fewLapsesSlowReactionsAboutFar: 'Few lapses: slow reactions are about as far off as quick ones.',
  wordsUsualReactionMuSSpread:
    '{words} Usual reaction {mu} s, spread {sigma} s, slow tail {tau}{sure} s (ex-Gaussian, {n} reps).',
  sidesCannotComparedTakesFourCounted:
    'Sides cannot be compared: it takes four counted reps each to targets that mirror each other.',
  leftMedianmsSNRightMedianms2: 'left {medianMs} s ({n}), right {medianMs2} s ({n2})',
  n95SoFewDaysRepsSignedpercent:
    ', 95 % of so few days’ reps {signedPercent} to {signedPercent2} %',
  noClearDifferenceBetweenSidesFigures:
    'No clear difference between the sides: {figures}{between}.',
  overDaysDays95SignedpercentSignedpercent2:
    'over {days} days 95 % {signedPercent} to {signedPercent2} %',
  slowerWhichAbsWhichIsNew:
    'Slower to the {which} by {abs} %, which is new: so over the newest {daysNow} days; over the {daysBefore} before, to the {sideBefore} by {before} %{figures}.',
  onThisRungFigures: '; on this rung {figures}',
  slowerWhichAbsFiguresBetween: 'Slower to the {which} by {abs} %: {figures}{between}.',
  whatChoiceCostsNotKnownTakes:
    'What choice costs is not known: it takes {allowed} in play, and there are {given}.',
  eachDoublingTargetsPlayCostsMsperbit:
    'Each doubling of the targets in play costs {msPerBit} ± {slopeSe} s of reaction, from {interceptMs} s with one ({n} reps). Practice and rungs run side by side in time, so part of it is learning.',
} as const;
