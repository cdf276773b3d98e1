import { thoseIn } from './block.js';
import { rotation, type Round } from './rotation.js';
import { blockSeconds, roundsOf, type Session } from './session.js';

/** The state of a running session, from which it can be resumed after the page died. */
export interface PlanRun {
  /** Index of the current block; beyond the last when the session is over. */
  readonly place: number;
  /** When the block began, shifted by its pauses; epoch ms. */
  readonly startedAtMs: number;
  /** `null` while running. */
  readonly pausedAtMs: number | null;
  /** Who is here now. */
  readonly athleteIds: readonly string[];
  /** Turns of the current block; empty if it is done together. */
  readonly rounds: readonly Round[];
  /** When each block began, and with whom; oldest first. */
  readonly log: readonly RunMoment[];
}

/** From this moment the run was at a block (beyond the last: over), with these athletes. */
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

/** A run at its first block. */
export const beginPlan = (session: Planned, nowMs: number): PlanRun =>
  at(session, 0, session.athleteIds, nowMs, []);

/** A run moved to the start of another block; beyond the last it is over. */
export const toBlock = (session: Planned, run: PlanRun, place: number, nowMs: number): PlanRun =>
  at(
    ...[session, Math.min(session.blocks.length, Math.max(0, place))],
    ...[run.athleteIds, nowMs, run.log],
  );

/** A run paused or resumed. */
export const paused = (run: PlanRun, nowMs: number): PlanRun =>
  run.pausedAtMs === null
    ? { ...run, pausedAtMs: nowMs }
    : { ...run, pausedAtMs: null, startedAtMs: run.startedAtMs + nowMs - run.pausedAtMs };

const elapsedS = ({ startedAtMs, pausedAtMs }: PlanRun, nowMs: number): number =>
  ((pausedAtMs ?? nowMs) - startedAtMs) / 1000;

/** The current state of a run's clock. */
export interface PlanNow {
  /** Seconds left in the block; negative when overrunning. */
  readonly leftS: number;
  /** The current turn; `null` between turns, without turns, and after the last. */
  readonly round: Round | null;
  /** The next turn. */
  readonly next: Round | null;
  /** Seconds until the turn ends or the next begins; `null` if there are no more turns. */
  readonly untilS: number | null;
  /** Number of the current or next turn, from 1. */
  readonly roundPlace: number;
}

/** A run's state at a moment, epoch ms. */
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

/** A run after somebody left or joined: turns that have begun stay, the rest is planned anew. */
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
