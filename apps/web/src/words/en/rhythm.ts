export const rhythm = {
  oneStepOutHasNoRhythm: 'One step out has no rhythm.',
  rhythmOutRatio: 'Rhythm out: {ratio}.',
  notQuickening: 'not quickening',
  rhythmOutRatioWhich: 'Rhythm out: {ratio}, {which}.',
} as const;
