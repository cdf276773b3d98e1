export const home = {
  sheet: 'For home',
  sheetOf: '{name}: at home',
  back: 'Back to {name}',
  weekIs: 'Week of {day}: {theme}. {note}',
  howMuch:
    '{minutes, plural, =0 {Nothing is set for this week: rest, or as much as you like.} other {# minutes this week: {days, plural, one {once} other {# times}} about {each} minutes. Short and often.}}',
  usualMuch: 'Three times a week, about ten minutes. Short and often.',
  needs: 'What it needs',
  space: 'A clear, dry floor of {across} by {deep}, flat and free all round.',
  markers:
    '{count, plural, one {One marker} other {# markers}} besides home: shoes or caps will do.',
  alone:
    'Alone: throw a ball at a wall that may be thrown at, and go where it comes back; or let the track of cues call.',
  partner:
    'With somebody: they stand in front and point, in no order you could guess; change after each set.',
  asks: 'Ask yourself after each set',
  watchFor: 'This is what we work on',
  sayAndMend: '{fault}: {say} {mend}',
  done: 'What you did',
  day: 'Day',
  minutes: 'Minutes',
  hard: 'How hard, 0 to 10',
  noticed: 'What you noticed',
  care: 'Warm up first. Stop on pain, dizziness or breathlessness that does not settle. Walls, and places that are not yours, only with leave.',
  returning: 'You are coming back from something: only what the clinician in charge has cleared.',
  noPattern: 'No pattern is worked on yet: choose one in what is known of {name}.',
  reading: 'Reading…',
} as const;
