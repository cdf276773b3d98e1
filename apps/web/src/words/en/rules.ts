export const rules = {
  whoBeginPassing: 'who begin by passing',
  whoPass: 'who pass',
  nameMovesUpFinepercentAthletesWho:
    '{name}: of athletes {who} {below} of their reps {low} would move up; of those {who} {above}, {high}, half of them within {half} sets.',
  ofTen: '{n} in 10',
  ofHundred: '{n} in 100',
  none: 'none',
  all: 'all',
  bothMoveUpTooSoonAbout: 'Both move up too soon about as often',
  whichMovesUpTooSoonLess: '{which} moves up too soon less often',
  readyWaitAboutLong: 'the ready wait about as long',
  readyWaitAbsSetsLessWhich: 'the ready wait {abs} sets less with {which}',
} as const;
