/** What can be said of a fault, and done about it. */
export interface FaultHelp {
  /** One line to say on the floor. */
  readonly say: string;
  /** A drill that mends it. */
  readonly mend: string;
}

/** What can be wrong with a repetition: each with what to say and what mends it. */
export const FAULT_HELP = {
  'false start': {
    say: 'Land, look, then go.',
    mend: 'Catch trials, one ready signal in four without a cue.',
  },
  missed: { say: 'Stay on your toes.', mend: 'Fewer targets in play until every cue is answered.' },
  'wrong way': {
    say: 'See it before you lean.',
    mend: 'Switched cues at an easy pace, two targets only.',
  },
  'moved on a catch trial': {
    say: 'No cue, no step.',
    mend: 'Longer foreperiods that do not age, with catch trials.',
  },
  'short of home': {
    say: 'All the way home.',
    mend: 'A rep counts only when home is touched; a cone to touch there.',
  },
  'early split': {
    say: 'Hop with the cue, not before it.',
    mend: 'Split to a spoken "ready, go".',
  },
  'late split': { say: 'Feet down as it is called.', mend: 'Small hops in place, cue on a hop.' },
  lean: { say: 'Land even.', mend: 'Freeze calls at the split: weight on both feet.' },
  'narrow base': { say: 'Wide and low.', mend: 'Freeze calls at the load with feet taped out.' },
  'flat feet': { say: 'Heels light.', mend: 'Line hops before the set, then split on the spot.' },
  'feet still moving at the action': {
    say: 'Stop, then act.',
    mend: 'Freeze calls at the load, one second of hold.',
  },
  detour: {
    say: 'Straight there, straight back.',
    mend: 'A line of tape from home to the target.',
  },
  'steps not quickening': {
    say: 'Long, short, shorter.',
    mend: 'Tap the rhythm of the last three steps, then run it.',
  },
  'off rhythm': {
    say: 'Hear the steps.',
    mend: 'The step score played slowly, walked along with.',
  },
} as const satisfies Record<string, FaultHelp>;

export type Fault = keyof typeof FAULT_HELP;
export const FAULTS = Object.keys(FAULT_HELP) as Fault[];

/** Faults that follow from a rep's events or its trial; all others somebody has to see. */
const FROM_EVENTS: readonly Fault[] = [
  'false start',
  'missed',
  'moved on a catch trial',
  'early split',
  'late split',
];

export const SEEN_FAULTS: readonly Fault[] = FAULTS.filter((fault) => !FROM_EVENTS.includes(fault));

/** More than this at a time nobody can mind. */
export const MOST_WATCHED = 2;
