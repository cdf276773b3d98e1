export const compare = {
  tooFewDurationTimesCompareFour:
    'Too few {duration} times to compare: four are needed on either side.',
  durationMedianmsSNRepsMedianms2: '{duration} {medianMs} s ({n} reps) and {medianMs2} s ({n2})',
  n95LowHighS: ', 95 % {low} to {high} s',
  figuresNoClearDifferenceDoubt: '{figures}: no clear difference{doubt}.',
  figuresSecondTypicallyAbsWhichDoubt: '{figures}: the {second} typically {abs} {which}{doubt}.',
  notComparedFiguresDifferentFormat: 'Not to be compared in figures: different {format}.',
  firstAndNewest: 'The first set and the newest',
  bestAndNewest: 'The best set and the newest',
  leftAndRight: 'Left and right',
  acrossFrom: '{a} beside its mirror {b}',
  firstAndNewestWhy: '{a} and {b}, both on rung {rung}',
  bestAndNewestWhy: '{a}, with the quickest {duration}, and {b}',
  leftAndRightWhy:
    'To {a} and to {b}, as far from home, {sets, plural, one {in the newest set} other {in the newest # sets}}',
  acrossFromWhy:
    'The same way to either side, {sets, plural, one {in the newest set} other {in the newest # sets}}',
} as const;
