/** What a block of a session can be, in the order a session usually has them. */
export const BLOCK_KINDS = [
  'warm-up',
  'readiness checks',
  'rehearse',
  'reaction game',
  'cued drill',
  'pattern with action',
  'freeze and look',
  'challenge',
  'play',
  'game to a score',
  'conditioning',
  'cool-down',
  'other',
] as const;
export type BlockKind = (typeof BLOCK_KINDS)[number];

/** What a block trains; the order within a session matters. */
export type Trained = 'warming' | 'feet' | 'reaction' | 'play' | 'conditioning' | 'calming';

/** What is thrown, struck or caught, the slowest first; eased for age. */
export const OBJECTS = ['none', 'balloon', 'soft', 'match'] as const;
export type PlayObject = (typeof OBJECTS)[number];

/** What somebody does at a station while another works. */
export const HELPER_ROLES = ['calls', 'feeds', 'collects'] as const;
export type HelperRole = (typeof HELPER_ROLES)[number];

/** Bounds of what a block may be. */
export const BLOCK_BOUNDS = {
  minutes: [1, 90],
  sets: [1, 20],
  workS: [5, 600],
  restS: [0, 600],
  stations: [1, 6],
} as const;

/** Longest name of a block's own, in characters. */
export const LONGEST_TITLE = 80;
/** Longest words on what a block needs, in characters. */
export const LONGEST_NEEDS = 200;
/** Most blocks of a session. */
export const MOST_BLOCKS = 40;
/** Most athletes in a session. */
export const MOST_PLANNED = 60;

/** A part of a session: everybody at once for some minutes, or in turns at stations. */
export interface Block {
  readonly id: string;
  readonly kind: BlockKind;
  /** In the coach's own words; as its kind is called where it is empty. */
  readonly title: string;
  readonly how: 'together' | 'turns';
  /** How long it is together, min; of turns it follows from what is below. */
  readonly minutes: number;
  /** Of each athlete, in turns. */
  readonly sets: number;
  /** Of one set, s. */
  readonly workS: number;
  /** Each athlete's own, between two of their sets, s. */
  readonly restS: number;
  /** How many work at the same time, in turns. */
  readonly stations: number;
  /** What is done at each station while one works, in turns. */
  readonly helpers: readonly HelperRole[];
  readonly object: PlayObject;
  /** The pattern it is run on; `null`: each what they work on, or none. */
  readonly patternId: string | null;
  /** What is needed for it, in the coach's own words. */
  readonly needs: string;
}

type Usual = Omit<Block, 'id' | 'kind' | 'title' | 'patternId' | 'needs'> & {
  readonly trains: Trained;
};

const together = (trains: Trained, minutes: number, object: PlayObject = 'none'): Usual => ({
  ...{ trains, minutes, object, how: 'together', helpers: [] },
  ...{ sets: 1, workS: 30, restS: 30, stations: 1 },
});

const turns = (
  trains: Trained,
  sets: number,
  workS: number,
  restS: number,
  helpers: readonly HelperRole[],
  object: PlayObject = 'none',
): Usual => ({
  ...{ trains, sets, workS, restS, helpers, object, how: 'turns', minutes: 10, stations: 1 },
});

/** What each kind of block is like where nobody says otherwise: rest is twice the work for quality, as much for play (handbook 4). */
const LIBRARY: Readonly<Record<BlockKind, Usual>> = {
  'warm-up': together('warming', 8),
  'readiness checks': together('warming', 5),
  rehearse: together('feet', 8),
  'reaction game': together('reaction', 6, 'soft'),
  'cued drill': turns('reaction', 3, 25, 50, ['calls']),
  'pattern with action': turns('play', 3, 25, 50, ['feeds', 'collects'], 'match'),
  'freeze and look': together('feet', 6),
  challenge: turns('play', 2, 30, 30, ['feeds'], 'soft'),
  play: together('play', 10, 'match'),
  'game to a score': together('play', 10, 'match'),
  conditioning: together('conditioning', 6),
  'cool-down': together('calming', 5),
  other: together('feet', 5),
};

/** What a block of a kind trains. */
export const trainedBy = (kind: BlockKind): Trained => LIBRARY[kind].trains;

/** A block of a kind as it usually is. */
export function usualBlock(id: string, kind: BlockKind): Block {
  const { trains: _, ...usual } = LIBRARY[kind];
  return { id, kind, title: '', patternId: null, needs: '', ...usual };
}
