export const court = {
  onLine: 'on the {name}',
  beforeLine: '{far} before the {name}',
  behindLine: '{far} behind the {name}',
  rightOf: '{far} right of the {name}',
  leftOf: '{far} left of the {name}',
  inMiddle: '{forward}, in the middle',
  forwardAndAside: '{forward}, {aside}',
} as const;
