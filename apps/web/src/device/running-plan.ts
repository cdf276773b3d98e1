import type { Call, GameRound, GameWay, PlanRun, Team } from '@orthokin/core/plan';
import { forget, remember, remembered } from './preferences.js';

const NOW = 'plan-running';
const runName = (planId: string): string => `plan-run.${planId}`;

/** A session that is being run here. */
export interface Running {
  /** Under which it is kept when it is over; what is seen meanwhile names it. */
  readonly sessionId: string;
  readonly run: PlanRun;
  readonly counts: readonly Count[];
  /** By their blocks. */
  readonly games: Readonly<Record<string, Game>>;
  /** Teams and their points, by their blocks. */
  readonly teams: Readonly<Record<string, readonly Team[]>>;
  /** Calls of games of catching, by their blocks. */
  readonly calls: Readonly<Record<string, readonly Call[]>>;
}

/** What was counted in a session that is run. */
export type Reached = Pick<Running, 'counts' | 'games' | 'teams' | 'calls'>;

/** Before anything was counted. */
export const NOTHING_REACHED: Reached = { counts: [], games: {}, teams: {}, calls: {} };

/** How many somebody made in a turn. */
export interface Count {
  readonly blockId: string;
  readonly athleteId: string;
  /** From 1. */
  readonly turn: number;
  readonly n: number;
}

/** A game of pairs: the rounds that were played, and the one that is on. */
export interface Game {
  readonly way: GameWay;
  readonly played: readonly Played[];
  readonly on: Played;
}

/** A round with who won on each court; `''` where nobody has yet. */
export interface Played {
  readonly round: GameRound;
  readonly winners: readonly string[];
}

/** The plan of the session that is being run on this device; `null` where none is. */
export const runningPlan = (): string | null => remembered<string | null>(NOW, null);

/** Where a session was when it was last run here; `null` where it was not, or was ended. */
export function keptRun(planId: string): Running | null {
  const kept = remembered<Partial<Running> | null>(runName(planId), null);
  if (!kept?.run || !kept.sessionId) return null;
  return { ...NOTHING_REACHED, ...kept, run: kept.run, sessionId: kept.sessionId };
}

/** Keeps where a session is that is being run here. */
export function keepRun(planId: string, running: Running): void {
  remember(NOW, planId);
  remember(runName(planId), running);
}

/** It is over. */
export function endRun(planId: string): void {
  forget(NOW);
  forget(runName(planId));
}
