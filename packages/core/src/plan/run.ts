import { thoseIn } from './block.js';
import { rotation, type Round } from './rotation.js';
import { blockSeconds, roundsOf, type Session } from './session.js';

/** A session as it is run; all of it goes on where it was when the page dies. */
export interface PlanRun {
  /** Of the block that is on; past the last when the session is over. */
  readonly place: number;
  /** When the block began, less all pauses in it; epoch ms. */
  readonly startedAtMs: number;
  /** `null` while it goes on. */
  readonly pausedAtMs: number | null;
  /** Who is here now. */
  readonly athleteIds: readonly string[];
  /** Turns of the block that is on; none together. */
  readonly rounds: readonly Round[];
  /** Where it was from when on, and with whom; the oldest first. */
  readonly log: readonly RunMoment[];
}

/** From here on it was at a block, past the last it was over, with whoever was here. */
export interface RunMoment extends Pick<PlanRun, 'place' | 'athleteIds'> {
  /** Epoch ms. */
  readonly atMs: number;
}

type Planned = Pick<Session, 'blocks' | 'athleteIds'>;

const at = (
  { blocks }: Pick<Session, 'blocks'>,
  place: number,
  athleteIds: readonly string[],
  nowMs: number,
  log: readonly RunMoment[],
): PlanRun => {
  const block = blocks[place];
  const rounds = block ? roundsOf(block, athleteIds) : [];
  return {
    ...{ place, startedAtMs: nowMs, pausedAtMs: null, athleteIds, rounds },
    log: [...log, { place, athleteIds, atMs: nowMs }],
  };
};

/** A session at its first block. */
export const beginPlan = (session: Planned, nowMs: number): PlanRun =>
  at(session, 0, session.athleteIds, nowMs, []);

/** The run at another block, from its start; past the last it is over. */
export const toBlock = (session: Planned, run: PlanRun, place: number, nowMs: number): PlanRun =>
  at(
    ...[session, Math.min(session.blocks.length, Math.max(0, place))],
    ...[run.athleteIds, nowMs, run.log],
  );

/** The run with its clock stopped, or going on. */
export const paused = (run: PlanRun, nowMs: number): PlanRun =>
  run.pausedAtMs === null
    ? { ...run, pausedAtMs: nowMs }
    : { ...run, pausedAtMs: null, startedAtMs: run.startedAtMs + nowMs - run.pausedAtMs };

const elapsedS = ({ startedAtMs, pausedAtMs }: PlanRun, nowMs: number): number =>
  ((pausedAtMs ?? nowMs) - startedAtMs) / 1000;

/** Where a run is. */
export interface PlanNow {
  /** Of the block that is on, s; negative once it is over its time. */
  readonly leftS: number;
  /** The turn that is on; `null` together, between two turns, and when all have had theirs. */
  readonly round: Round | null;
  /** The turn that comes after. */
  readonly next: Round | null;
  /** Until the turn ends, or the next begins, s; `null` where neither comes. */
  readonly untilS: number | null;
  /** Of the turn that is on or comes next, from 1. */
  readonly roundPlace: number;
}

/** Where a run is at a moment, epoch ms. */
export function nowIn({ blocks }: Pick<Session, 'blocks'>, run: PlanRun, nowMs: number): PlanNow {
  const block = blocks[run.place];
  const goneS = elapsedS(run, nowMs);
  const next = run.rounds.findIndex(({ fromS }) => fromS > goneS);
  const on = run.rounds.findIndex(({ fromS, toS }) => fromS <= goneS && goneS < toS);
  const round = run.rounds[on] ?? null;
  const following = run.rounds[next] ?? null;
  const untilS = round ? round.toS - goneS : following ? following.fromS - goneS : null;
  return {
    leftS: block ? blockSeconds(block, run.rounds) - goneS : 0,
    ...{ round, next: following, untilS },
    roundPlace: (on >= 0 ? on : next >= 0 ? next : run.rounds.length - 1) + 1,
  };
}

/**
 * Somebody has left, or come: the turns still to come are planned anew, those that have begun stand.
 */
export function withPresent(
  { blocks }: Pick<Session, 'blocks'>,
  run: PlanRun,
  athleteIds: readonly string[],
  nowMs: number,
): PlanRun {
  const block = blocks[run.place];
  const log = [...run.log, { place: run.place, athleteIds, atMs: nowMs }];
  const inIt = block ? thoseIn(block, athleteIds) : [];
  if (!block || block.how === 'together' || inIt.length === 0) return { ...run, athleteIds, log };
  const begun = run.rounds.filter(({ fromS }) => fromS <= elapsedS(run, nowMs));
  const rounds = [...begun, ...rotation({ ...block, athleteIds: inIt }, begun)];
  return { ...run, athleteIds, rounds, log };
}
