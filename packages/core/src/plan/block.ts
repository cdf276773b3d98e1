/** Kinds of blocks, in the usual order of a session. */
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

/** What is thrown, struck or caught, slowest first; adapted to age. */
export const OBJECTS = ['none', 'balloon', 'soft', 'match'] as const;
export type PlayObject = (typeof OBJECTS)[number];

/** What somebody helps with at a station while another works. */
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

/** Bounds of the number wanted in a turn of a challenge. */
export const WANTED = [1, 999] as const;

/** Catching games, in which the distance grows. */
export const CATCH_FORMS = ['drop and catch', 'turn on a call', 'off a wall'] as const;
export type CatchForm = (typeof CATCH_FORMS)[number];

/** Games the app can referee. */
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

/** An athlete stays at a station, numbered from 1. */
export interface Stay {
  readonly athleteId: string;
  readonly station: number;
}

/** A part of a session: for everybody at once, or in turns at stations. */
export interface Block {
  readonly id: string;
  readonly kind: BlockKind;
  /** The coach's title; if empty the kind's name is used. */
  readonly title: string;
  readonly how: 'together' | 'turns';
  /** Duration together, min; in turns it follows from the fields below. */
  readonly minutes: number;
  /** Sets per athlete, in turns. */
  readonly sets: number;
  /** Duration of a set, s. */
  readonly workS: number;
  /** Least rest of an athlete between two sets, s. */
  readonly restS: number;
  /** How many work at the same time, in turns. */
  readonly stations: number;
  /** Roles of helpers at each station, in turns. */
  readonly helpers: readonly HelperRole[];
  readonly object: PlayObject;
  /** The pattern to run; `null`: each their own, or none. */
  readonly patternId: string | null;
  /** What is needed besides, in the coach's words. */
  readonly needs: string;
  /** What to say or look for, in the coach's words. */
  readonly note?: string | null;
  /** Who does it; absent: everybody. */
  readonly who?: readonly string[] | null;
  /** Who stays at which station, in turns; absent: everybody goes where there is room. */
  readonly stays?: readonly Stay[] | null;
  /** The number wanted in a turn, in a challenge. */
  readonly wanted?: number | null;
  /** The kind of game; absent: the block's default. */
  readonly game?: GameForm | null;
}

/** Those of the attendees who do a block. */
export const thoseIn = (
  { who }: Pick<Block, 'who'>,
  athleteIds: readonly string[],
): readonly string[] => (who ? athleteIds.filter((id) => who.includes(id)) : athleteIds);

const GAMES: Partial<Readonly<Record<BlockKind, GameForm>>> = {
  'reaction game': 'drop and catch',
  'game to a score': 'courts',
};

/** A block's game, chosen or default; `null` if it is none. */
export function gameOf({ kind, game }: Pick<Block, 'kind' | 'game'>): GameForm | null {
  const usual = GAMES[kind] ?? null;
  return usual && (game ?? usual);
}

/** Whether a game is about catching, whose results are distances in cm. */
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

/** Defaults of each kind of block: rest is twice the work for quality, as long as the work for play (handbook 4). */
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

/** A block of a kind with its defaults. */
export function usualBlock(id: string, kind: BlockKind): Block {
  const { trains: _, ...usual } = LIBRARY[kind];
  return { id, kind, title: '', patternId: null, needs: '', ...usual };
}
