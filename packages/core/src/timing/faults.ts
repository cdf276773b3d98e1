/** Places for faults of a club's own: what they are called is the club's to say. */
export const OWN_FAULTS = ['own 1', 'own 2', 'own 3', 'own 4', 'own 5', 'own 6'] as const;

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
  ...OWN_FAULTS,
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

/** Longest name of a fault, in characters. */
export const LONGEST_FAULT_NAME = 40;
/** Longest line said of a fault, and longest drill that mends it, in characters. */
export const LONGEST_FAULT_WORDS = 160;

/** A fault in a club's own words; what is empty is said as usual. */
export interface FaultWords {
  readonly fault: Fault;
  readonly name: string;
  /** One line to say on the floor. */
  readonly say: string;
  /** A drill that mends it. */
  readonly mend: string;
}

/** More than this at a time nobody can mind. */
export const MOST_WATCHED = 2;
