export const checkPoint = {
  roundCm: '{round} cm',
  baseWordsWidthShoulders: 'base {words}, {width} × shoulders',
  toesDegreesLeftDegrees2Right: 'toes {degrees} left, {degrees2} right',
  landsFromSAboutCue: 'lands {from} to +{to} s about the cue',
} as const;
