export const compare = {
  tooFewDurationTimesCompareFour:
    'Too few {duration} times to compare: four are needed on either side.',
  durationMedianmsSNRepsMedianms2: '{duration} {medianMs} s ({n} reps) and {medianMs2} s ({n2})',
  n95LowHighS: ', 95 % {low} to {high} s',
  figuresNoClearDifferenceDoubt: '{figures}: no clear difference{doubt}.',
  figuresSecondTypicallyAbsWhichDoubt: '{figures}: the {second} typically {abs} {which}{doubt}.',
  notComparedFiguresDifferentFormat: 'Not to be compared in figures: different {format}.',
} as const;
