import { distance, type Point } from '../floor/index.js';
import type { Bounce } from './flight.js';

/** How it comes from the opponent to a target. */
export interface Coming {
  readonly opponent: Point;
  /** A wall across the floor that it comes off, metres forward of home base; `null` for none. */
  readonly wallForwardM: number | null;
  /** Metres before the contact point at which it bounces; `null` when it is taken in the air. */
  readonly bounceBeforeM: number | null;
  /** Share of speed kept at the wall, or at the bounce where there is no wall. */
  readonly speedKept: number;
}

/**
 * The way it flies, seen from above, m: straight, or off the wall at equal angles, which is as far
 * as from the opponent's mirror image behind the wall. Only one loss of speed is reckoned: the
 * wall's where there is one, else the bounce's.
 */
export function wayTo(
  target: Point,
  { opponent, wallForwardM, bounceBeforeM, speedKept }: Coming,
): { readonly distanceM: number; readonly bounce: Bounce | null } {
  if (wallForwardM === null) {
    const distanceM = distance(opponent, target);
    return {
      distanceM,
      bounce: bounceBeforeM === null ? null : { atM: distanceM - bounceBeforeM, speedKept },
    };
  }
  const image = { x: opponent.x, y: 2 * wallForwardM - opponent.y };
  const distanceM = distance(image, target);
  const toWall = Math.abs(wallForwardM - opponent.y);
  const fromWall = Math.abs(wallForwardM - target.y);
  return { distanceM, bounce: { atM: (distanceM * toWall) / (toWall + fromWall), speedKept } };
}
