export const rules = {
  whoBeginPassing: 'who begin by passing',
  whoPass: 'who pass',
  nameMovesUpFinepercentAthletesWho:
    '{name} moves up {finePercent} of athletes {who} {below} of their reps, and {finePercent2} of those {who} {above}, half of them within {half} sets.',
  bothMoveUpTooSoonAbout: 'Both move up too soon about as often',
  whichMovesUpTooSoonLess: '{which} moves up too soon less often',
  readyWaitAboutLong: 'the ready wait about as long',
  readyWaitAbsSetsLessWhich: 'the ready wait {abs} sets less with {which}',
} as const;
