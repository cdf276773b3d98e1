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

/** How many are wanted in a turn of a challenge. */
export const WANTED = [1, 999] as const;

/** Games in which somebody catches what comes at a call, from farther and farther. */
export const CATCH_FORMS = ['drop and catch', 'turn on a call', 'off a wall'] as const;
export type CatchForm = (typeof CATCH_FORMS)[number];

/** How a game is played, with the app as its referee. */
export const GAME_FORMS = ['courts', 'teams', ...CATCH_FORMS] as const;
export type GameForm = (typeof GAME_FORMS)[number];

/** Longest name of a block's own, in characters. */
export const LONGEST_TITLE = 80;
/** Longest words on what a block needs, in characters. */
export const LONGEST_NEEDS = 200;
/** Longest words on what is said or looked at in a block, in characters. */
export const LONGEST_BLOCK_NOTE = 200;
/** Most blocks of a session. */
export const MOST_BLOCKS = 40;
/** Most athletes in a session. */
export const MOST_PLANNED = 60;

/** Somebody stays at a station, counted from 1. */
export interface Stay {
  readonly athleteId: string;
  readonly station: number;
}

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
  /** What is needed besides, in the coach's own words. */
  readonly needs: string;
  /** What is said or looked at in it, in the coach's own words. */
  readonly note?: string | null;
  /** Who does it; everybody where it is not said. */
  readonly who?: readonly string[] | null;
  /** Who stays at which station, in turns; where it is not said everybody goes where there is room. */
  readonly stays?: readonly Stay[] | null;
  /** How many in a turn are wanted, of a challenge. */
  readonly wanted?: number | null;
  /** Of a game; as its kind usually is where it is not said. */
  readonly game?: GameForm | null;
}

/** Who of those that come does a block. */
export const thoseIn = (
  { who }: Pick<Block, 'who'>,
  athleteIds: readonly string[],
): readonly string[] => (who ? athleteIds.filter((id) => who.includes(id)) : athleteIds);

const GAMES: Partial<Readonly<Record<BlockKind, GameForm>>> = {
  'reaction game': 'drop and catch',
  'game to a score': 'courts',
};

/** How a block is played, said or usual; `null` where it is no game. */
export function gameOf({ kind, game }: Pick<Block, 'kind' | 'game'>): GameForm | null {
  const usual = GAMES[kind] ?? null;
  return usual && (game ?? usual);
}

/** Whether a game is one of catching: what is reached in it is a distance, in cm. */
export const isCatching = (form: GameForm): form is CatchForm =>
  CATCH_FORMS.some((one) => one === form);

type Usual = Pick<
  Block,
  'how' | 'minutes' | 'sets' | 'workS' | 'restS' | 'stations' | 'helpers' | 'object'
> & {
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
