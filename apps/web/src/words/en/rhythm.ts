export const rhythm = {
  oneStepOutHasNoRhythm: 'One step out has no rhythm.',
  rhythmOutRatio: 'Rhythm out, each step as a part of the first: {ratio}.',
  notQuickening: 'not quickening',
  rhythmOutRatioWhich: 'Rhythm out, each step as a part of the first: {ratio}, {which}.',
} as const;
