import { thoseIn, type Block } from './block.js';
import { rotation, sharesOf, type Round, type Share } from './rotation.js';

/** A planned session for some athletes. */
export interface Session {
  readonly name: string;
  /** Its day, YYYY-MM-DD. */
  readonly day: string;
  /** Its local start time, HH:MM. */
  readonly startsAt: string;
  /** The time available, min. */
  readonly minutes: number;
  readonly athleteIds: readonly string[];
  readonly blocks: readonly Block[];
}

/** A block with its times and turns. */
export interface PlacedBlock {
  readonly block: Block;
  /** Seconds from the session's start. */
  readonly fromS: number;
  readonly toS: number;
  /** Empty if done together. */
  readonly rounds: readonly Round[];
  readonly shares: readonly Share[];
}

/** Bounds of a session's length, min. */
export const SESSION_MINUTES = [5, 480] as const;

const MINUTE_S = 60;

/** A block's turns for these athletes; empty if it is done together, or for nobody. */
export function roundsOf(block: Block, comes: readonly string[]): Round[] {
  const athleteIds = thoseIn(block, comes);
  return block.how === 'together' || athleteIds.length === 0
    ? []
    : rotation({ ...block, athleteIds });
}

/** A block's length, s: as set if done together; in turns until the last has worked (handbook 8). */
export function blockSeconds(block: Block, rounds: readonly Round[]): number {
  return block.how === 'together' ? MINUTE_S * block.minutes : (rounds.at(-1)?.toS ?? 0);
}

/** A session's blocks with their times, one after another. */
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

/** When the last block ends, s from the session's start. */
export const endOf = (blocks: readonly Pick<PlacedBlock, 'toS'>[]): number =>
  blocks.at(-1)?.toS ?? 0;

/** By how much a session exceeds its time, s; negative if there is time left. */
export const overTime = (
  { minutes }: Pick<Session, 'minutes'>,
  blocks: readonly Pick<PlacedBlock, 'toS'>[],
): number => endOf(blocks) - MINUTE_S * minutes;

/** What a whole session means for each athlete. */
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
