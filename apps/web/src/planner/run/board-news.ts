import {
  LONGEST_ON_BOARD,
  MOST_ON_BOARD,
  type BoardNews,
  type StationNews,
} from '@orthokin/contract/live-messages';
import type { Block, PlanNow, PlanRun, StationTurn } from '@orthokin/core/plan';
import { blockName } from '../../words/plan.js';

/** What a board shows of a session that is run. */
export function boardNews({
  clubId,
  blocks,
  run,
  now,
  atMs,
  nameOf,
  rooms,
}: {
  clubId: string;
  blocks: readonly Block[];
  run: PlanRun;
  now: PlanNow;
  /** Epoch ms. */
  atMs: number;
  nameOf: (athleteId: string) => string;
  /** Of the drills of the devices at the stations, counted from 1. */
  rooms: ReadonlyMap<number, string>;
}): BoardNews {
  const short = (id: string): string => nameOf(id).slice(0, LONGEST_ON_BOARD);
  const block = blocks[run.place];
  const following = blocks[run.place + 1];
  const { round, next } = now;
  const stationNews = (turn: StationTurn | null, i: number): StationNews => ({
    works: round && turn ? short(turn.works) : null,
    helps:
      round && turn
        ? turn.helps.map(({ athleteId, role }) => ({ name: short(athleteId), role }))
        : [],
    timed:
      round && turn && block?.kind === 'cued drill'
        ? { athleteId: turn.works, patternId: block.patternId }
        : null,
    room: rooms.get(i + 1) ?? null,
  });
  return {
    ...{ clubId, atMs, leftS: now.leftS, untilS: now.untilS },
    block: block ? blockName(block) : '',
    ...{ place: Math.min(run.place + 1, blocks.length), blocks: blocks.length },
    following: following ? blockName(following) : '',
    ...{ note: block?.note ?? '', needs: block?.needs ?? '' },
    isPaused: run.pausedAtMs !== null,
    ...{ turn: now.roundPlace, turns: run.rounds.length, isOn: round !== null },
    stations: ((round ?? next)?.stations ?? []).map(stationNews),
    rests: (round?.rests ?? []).slice(0, MOST_ON_BOARD).map(short),
    next: (next?.stations ?? []).flatMap((turn) => (turn ? [short(turn.works)] : [])),
  };
}

/** What of it is no clock: while this stays the same there is nothing to tell. */
export const toldOnce = ({ atMs: _, leftS, untilS: __, ...news }: BoardNews): string =>
  JSON.stringify([news, leftS < 0]);
