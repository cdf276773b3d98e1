export const limit = {
  factorBudgetmsThereFlight: '{factor} of the {budgetMs} there are: {flight}',
  factorTheirOwnRecordmsOverN: '{factor} of their own {of} of {recordMs}, over {n} reps',
  factorReckonedmsHow: '{factor} of {reckonedMs}: {how}',
  coachsNumber: 'the coach’s number',
  setWithoutSource: 'set without a source',
} as const;
