import {
  LONGEST_ON_BOARD,
  MOST_ON_BOARD,
  type BoardNews,
  type StationNews,
} from '@orthokin/contract/live-messages';
import type { Block, PlanNow, PlanRun, StationTurn } from '@orthokin/core/plan';
import { blockName } from '../../words/plan.js';

/** What a board shows of a running session. */
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
  /** Rooms of the drills on the stations' devices, by station, from 1. */
  rooms: ReadonlyMap<number, string>;
}): BoardNews {
  const short = (id: string): string => nameOf(id).slice(0, LONGEST_ON_BOARD);
  const block = blocks[run.place];
  const following = blocks[run.place + 1];
  const { round, next } = now;
  const rests = round?.rests ?? [];
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
    rests: rests.slice(0, MOST_ON_BOARD).map(short),
    restMore: Math.max(0, rests.length - MOST_ON_BOARD),
    next: (next?.stations ?? []).flatMap((turn) => (turn ? [short(turn.works)] : [])),
  };
}

/** A text that changes only when boards need to be told: clocks go on by themselves. */
export function toldOnce({ atMs, leftS, untilS: _, ...news }: BoardNews): string {
  const endsAtMs = news.isPaused ? null : Math.round(atMs + 1000 * leftS);
  return JSON.stringify([news, endsAtMs, leftS < 0]);
}
