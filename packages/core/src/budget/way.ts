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

/** The corners of the way it flies, seen from above, m: opponent, wall where there is one, target. */
export function cornersOf(target: Point, { opponent, wallForwardM }: Coming): Point[] {
  if (wallForwardM === null) return [opponent, target];
  const toWall = Math.abs(wallForwardM - opponent.y);
  const fromWall = Math.abs(wallForwardM - target.y);
  const share = toWall + fromWall === 0 ? 0 : toWall / (toWall + fromWall);
  return [opponent, { x: opponent.x + share * (target.x - opponent.x), y: wallForwardM }, target];
}

/** The place so many metres along some corners; the last where they are shorter. */
export function placeAlong(corners: readonly Point[], metres: number): Point {
  let left = metres;
  for (const [i, to] of corners.entries()) {
    const from = corners[i - 1];
    if (!from) continue;
    const length = distance(from, to);
    if (left <= length && length > 0)
      return {
        x: from.x + ((to.x - from.x) * left) / length,
        y: from.y + ((to.y - from.y) * left) / length,
      };
    left -= length;
  }
  return corners.at(-1) ?? { x: 0, y: 0 };
}

/** A way seen from above: how long, m, where along it the wall is, and where speed is lost in level flight. */
export interface Way {
  readonly distanceM: number;
  readonly wallAtM: number | null;
  readonly bounce: Bounce | null;
}

/**
 * The way it flies, seen from above, m: straight, or off the wall at equal angles, which is as far
 * as from the opponent's mirror image behind the wall. Level flight reckons one loss of speed: the
 * wall's where there is one, else the bounce's.
 */
export function wayTo(
  target: Point,
  { opponent, wallForwardM, bounceBeforeM, speedKept }: Coming,
): Way {
  if (wallForwardM === null) {
    const distanceM = distance(opponent, target);
    const bounce = bounceBeforeM === null ? null : { atM: distanceM - bounceBeforeM, speedKept };
    return { distanceM, wallAtM: null, bounce };
  }
  const image = { x: opponent.x, y: 2 * wallForwardM - opponent.y };
  const distanceM = distance(image, target);
  const toWall = Math.abs(wallForwardM - opponent.y);
  const fromWall = Math.abs(wallForwardM - target.y);
  const wallAtM = (distanceM * toWall) / (toWall + fromWall);
  return { distanceM, wallAtM, bounce: { atM: wallAtM, speedKept } };
}
