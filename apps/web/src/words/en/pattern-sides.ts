export const patternSides = {
  name: 'Name',
  hand: 'Playing hand',
  handed: '{hand, select, left {left} other {right}}',
  court: 'Court',
  home: 'Home base',
  targets: 'Targets',
  rungs: 'Rungs',
  notes: 'Notes',
  none: 'none',
  marker: 'Marker {letter}, from home',
  place:
    '{right} to the {side, select, left {left} other {right}}, {forward} {way, select, behind {behind} other {forward}}',
  feet: 'Feet to {letter}',
  steps: '{n, plural, =0 {none laid} one {# step} other {# steps}}',
  inside: 'Rungs, words and lengths',
  yoursOtherwise: 'as you have it',
  theirsOtherwise: 'otherwise',
};
