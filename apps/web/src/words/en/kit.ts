export const kit = {
  bring: 'Bring: {things}.',
  markers: '{count, plural, one {one marker} other {# markers}}',
  screens: '{count, plural, one {one screen} other {# screens}} for cues',
  balloon: '{count, plural, one {one balloon} other {# balloons}}',
  soft: '{count, plural, one {one soft ball} other {# soft balls}}',
  match: '{count, plural, one {one match ball} other {# match balls}}',
  floor:
    '{stations, plural, one {Floor: {across} by {deep}, free all round.} other {Floor: # places of {across} by {deep} beside each other, free all round.}}',
} as const;
