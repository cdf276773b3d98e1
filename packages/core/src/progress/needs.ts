import { isNotSeenLately, type Standing } from '../stats/index.js';
import type { Claims } from './claims.js';
import type { Answer } from './decide.js';

/** Reasons why an athlete needs the coach, most pressing first. */
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
 * Why an athlete needs the coach, by the first that applies: ready to move up; stuck on a rung; slower, or a new
 * difference between sides; not timed lately. The claims must have been corrected for the whole squad.
 * @param nowMs milliseconds since 1970
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
