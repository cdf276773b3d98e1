import { thoseIn, type Block } from './block.js';
import { rotation, sharesOf, type Round, type Share } from './rotation.js';

/** An hour, or whatever there is, for some athletes. */
export interface Session {
  readonly name: string;
  /** The day it is held, YYYY-MM-DD. */
  readonly day: string;
  /** When it begins by the clock on the wall, HH:MM. */
  readonly startsAt: string;
  /** How long there is, min. */
  readonly minutes: number;
  readonly athleteIds: readonly string[];
  readonly blocks: readonly Block[];
}

/** A block as it falls: when, and what comes to each. */
export interface PlacedBlock {
  readonly block: Block;
  /** s from the start of the session. */
  readonly fromS: number;
  readonly toS: number;
  /** None together. */
  readonly rounds: readonly Round[];
  readonly shares: readonly Share[];
}

/** Least and most time there can be for a session, min. */
export const SESSION_MINUTES = [5, 480] as const;

const MINUTE_S = 60;

/** Turns of a block for these athletes; none together, or for nobody. */
export function roundsOf(block: Block, comes: readonly string[]): Round[] {
  const athleteIds = thoseIn(block, comes);
  return block.how === 'together' || athleteIds.length === 0
    ? []
    : rotation({ ...block, athleteIds });
}

/**
 * How long a block lasts, s: as said together; in turns until the last has worked (handbook 8: turns
 * shared by those at a station, and rests that others' work does not cover).
 */
export function blockSeconds(block: Block, rounds: readonly Round[]): number {
  return block.how === 'together' ? MINUTE_S * block.minutes : (rounds.at(-1)?.toS ?? 0);
}

/** The blocks of a session one after another. */
export function placed({
  blocks,
  athleteIds,
}: Pick<Session, 'blocks' | 'athleteIds'>): PlacedBlock[] {
  let fromS = 0;
  return blocks.map((block) => {
    const rounds = roundsOf(block, athleteIds);
    const toS = fromS + blockSeconds(block, rounds);
    const one = { block, fromS, toS, rounds, shares: sharesOf(rounds, thoseIn(block, athleteIds)) };
    fromS = toS;
    return one;
  });
}

/** When the last block of a session ends, s from its start. */
export const endOf = (blocks: readonly Pick<PlacedBlock, 'toS'>[]): number =>
  blocks.at(-1)?.toS ?? 0;

/** How much longer a session is than there is time, s; negative where some is left. */
export const overTime = (
  { minutes }: Pick<Session, 'minutes'>,
  blocks: readonly Pick<PlacedBlock, 'toS'>[],
): number => endOf(blocks) - MINUTE_S * minutes;

/** What comes to each athlete over a whole session. */
export const sharesOver = (
  blocks: readonly Pick<PlacedBlock, 'shares'>[],
  athleteIds: readonly string[],
): Share[] =>
  athleteIds.map((athleteId) => {
    const own = blocks.flatMap(({ shares }) =>
      shares.filter((share) => share.athleteId === athleteId),
    );
    const sum = (of: (share: Share) => number) =>
      own.reduce((total, share) => total + of(share), 0);
    return {
      athleteId,
      works: sum(({ works }) => works),
      worksS: sum(({ worksS }) => worksS),
      helps: sum(({ helps }) => helps),
      waitsS: sum(({ waitsS }) => waitsS),
    };
  });
