import type { Call, GameRound, GameWay, PlanRun, Team } from '@orthokin/core/plan';
import { forget, remember, remembered } from './preferences.js';

const NOW = 'plan-running';
const runName = (planId: string): string => `plan-run.${planId}`;

/** A session running on this device. */
export interface Running {
  /** The id it will be saved under, which observations refer to already. */
  readonly sessionId: string;
  readonly run: PlanRun;
  readonly counts: readonly Count[];
  /** By block id. */
  readonly games: Readonly<Record<string, Game>>;
  /** Teams with their points, by block id. */
  readonly teams: Readonly<Record<string, readonly Team[]>>;
  /** Calls of catching games, by block id. */
  readonly calls: Readonly<Record<string, readonly Call[]>>;
}

/** The results of a running session. */
export type Reached = Pick<Running, 'counts' | 'games' | 'teams' | 'calls'>;

/** Before anything was counted. */
export const NOTHING_REACHED: Reached = { counts: [], games: {}, teams: {}, calls: {} };

/** Somebody's count in a turn. */
export interface Count {
  readonly blockId: string;
  readonly athleteId: string;
  /** From 1. */
  readonly turn: number;
  readonly n: number;
}

/** A game of pairs: finished rounds, and the current one. */
export interface Game {
  readonly way: GameWay;
  readonly played: readonly Played[];
  readonly on: Played;
}

/** A round with the winner on each court; `''` while undecided. */
export interface Played {
  readonly round: GameRound;
  readonly winners: readonly string[];
}

/** The id of the plan running on this device; `null` if none is. */
export const runningPlan = (): string | null => remembered<string | null>(NOW, null);

/** The stored progress of a session; `null` if it never ran here, or was ended. */
export function keptRun(planId: string): Running | null {
  const kept = remembered<Partial<Running> | null>(runName(planId), null);
  if (!kept?.run || !kept.sessionId) return null;
  return { ...NOTHING_REACHED, ...kept, run: kept.run, sessionId: kept.sessionId };
}

/** Stores a running session's progress. */
export function keepRun(planId: string, running: Running): void {
  remember(NOW, planId);
  remember(runName(planId), running);
}

/** Deletes a session's progress when it is over. */
export function endRun(planId: string): void {
  forget(NOW);
  forget(runName(planId));
}
