export const privacy = {
  title: 'What is kept of people',
  headline:
    '{count, plural, =0 {Nobody is kept longer than you mean to keep them.} one {One person has not trained for longer than you mean to keep them.} other {# people have not trained for longer than you mean to keep them.}}',
  noReminder: 'You are not reminded of people who do not train any more.',
  reading: 'Reading what is kept…',
  keepFor: 'Keep those who do not train any more',
  forEver: 'without a reminder',
  years: '{years, plural, one {# year} other {# years}}',
  keepMeans:
    'A reminder only: nobody is erased by themselves. Ask the rules of your sport and your country how long is right; for children it is seldom long.',
  lastSeen: 'last here {day}',
  decide: 'Decide',
  decideFor: 'Decide what is kept of {name}',
  sealed:
    'Dates of birth, notes, emergency cards and everything about care are encrypted in the database: nobody can read them from a copy without this machine’s key. Film stays on the device that has it.',
  erased: 'Who was erased',
  nobodyErased: 'Nobody was.',
  erasedRow:
    '{day}, by {by}: {how, select, removed {with all they had done} other {their name, and what was written of them}} ({sets, plural, one {# set} other {# sets}}, {reps, plural, one {# rep} other {# reps}}{how, select, removed {} other { kept without a name}})',
  trail: 'By day and device',
  trailOf: 'Who has seen what is private of {name}',
  trailHeadline:
    '{count, plural, =0 {Nobody has seen anything private of {name} yet.} one {One person has seen or changed what is private of {name}.} other {# people have seen or changed what is private of {name}.}}',
  trailMeans:
    'One line a day and device. Their own looks, and a guardian’s, are not in it; nor is what was done while nobody had to sign in.',
  readingTrail: 'Reading who has seen it…',
  person: 'Who',
  what: 'What',
  times: 'Times',
  last: 'Last',
  sawParticulars: 'saw date of birth, notes or card for emergencies',
  changedParticulars: 'changed what is known of them',
  sawCare: 'saw restrictions, checks and agreements',
  changedCare: 'said something of their care',
  sawTimes: 'saw their times',
  changedTimes: 'changed their times',
  sawEverything: 'took everything out as a file',
  changedEverything: 'brought everything in from a file',
  withOthers: '{what}, with everybody else’s',
};
