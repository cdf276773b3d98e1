/** What can be wrong with a repetition. */
export const FAULTS = [
  'false start',
  'missed',
  'wrong way',
  'moved on a catch trial',
  'short of home',
  'early split',
  'late split',
  'lean',
  'narrow base',
  'flat feet',
  'feet still moving at the action',
  'detour',
  'steps not quickening',
  'off rhythm',
] as const;
export type Fault = (typeof FAULTS)[number];

/** Faults that follow from a rep's events or its trial; all others somebody has to see. */
const FROM_EVENTS: readonly Fault[] = [
  'false start',
  'missed',
  'moved on a catch trial',
  'early split',
  'late split',
];

/** Faults that somebody has to see. */
export const SEEN_FAULTS: readonly Fault[] = FAULTS.filter((fault) => !FROM_EVENTS.includes(fault));

/** More than this at a time nobody can mind. */
export const MOST_WATCHED = 2;
