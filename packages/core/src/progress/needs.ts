import { isNotSeenLately, type Standing } from '../stats/index.js';
import type { Claims } from './claims.js';
import type { Answer } from './decide.js';

/** What an athlete needs the coach for, the most pressing first. */
export const SQUAD_NEEDS = [
  'can move up',
  'held',
  'changed',
  'not seen lately',
  'on their way',
  'not timed yet',
] as const;
export type SquadNeed = (typeof SQUAD_NEEDS)[number];

/**
 * What an athlete needs the coach for, by the first of these that is so: the ladder says move up; held
 * on a rung day after day; slower, or a new difference between the sides; not timed for long. `nowMs`
 * is since 1970. Claims are those that stand among the whole squad.
 */
export function needOf(
  {
    answer,
    claims,
    standing,
  }: {
    readonly answer: Answer | null;
    readonly claims: Claims;
    readonly standing: Pick<Standing, 'lastTimedMs'>;
  },
  nowMs: number,
): SquadNeed {
  if (standing.lastTimedMs === null) return 'not timed yet';
  if (answer === 'move up') return 'can move up';
  if (claims.isStuck) return 'held';
  if (claims.change === 'slower' || claims.isNewLean) return 'changed';
  return isNotSeenLately(standing, nowMs) ? 'not seen lately' : 'on their way';
}
