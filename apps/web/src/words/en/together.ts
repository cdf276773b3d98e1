export const together = {
  together: 'Everybody’s sets',
  everybodysSets: '{sets, plural, one {One set} other {Everybody’s # sets}}.',
  whenSeveralTakeTurns:
    'When several athletes take turns, this page says what to tell each of them afterwards.',
  chooseWhoTakesTurns: 'Choose who takes turns',
  noSets: 'No sets to show together.',
  newest: 'The newest sets',
  reading: 'Reading the set…',
  onRung: '{pattern}, rung {rung}, {time}',
  notTimed: 'Cues only: to be marked on film.',
  answerLater: 'What comes next is said when the set is sent.',
} as const;
