export const limit = {
  eventBefore: 'at least {time} before {from, select, cue {the cue} other {arriving}}',
  eventWithin: 'within {time} of {from, select, cue {the cue} other {arriving}}',
  factorBudgetmsThereFlight: '{factor} of the {budgetMs} there are: {flight}',
  factorTheirOwnRecordmsOverN: '{factor} of their own {of} of {recordMs}, over {n} reps',
  reactionToOne: 'a reaction with nothing to choose',
  reactionToAChoice: 'a reaction among {choices}, {msPerBit} ms more each time the choices double',
  wayHome: 'the way home from the farthest target, by the travel model',
  factorReckonedmsHow: '{factor} of {reckonedMs}: {how}',
  coachsNumber: 'the coach’s number',
  setWithoutSource: 'set without a source',
  eachTargetsOwn: 'each target’s own limit ({least}–{most})',
  factorOwnLine:
    '{factor} of the {lineMs} their own reaction and travel line says, over {n} timed ways',
} as const;
