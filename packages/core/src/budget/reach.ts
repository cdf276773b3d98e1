import type { Point } from '../floor/index.js';
import { flownMetres } from './flight.js';
import type { OwnSpeed, Rally } from './rally.js';
import { distanceReached } from './travel.js';
import { cornersOf, placeAlong, wayTo } from './way.js';

/** Where an athlete can stop so many seconds after the opponent's contact. */
export interface ReachRing {
  readonly atS: number;
  readonly radiusM: number;
  /** No way so long was timed. */
  readonly isGuess: boolean;
}

const RING_EVERY_S = 0.25;
const MOST_RINGS = 7;
/** A ring within home base, and one far beyond every target, say nothing. */
const LEAST_RADIUS_M = 0.3;
const MOST_BEYOND = 1.6;

/**
 * Rings of equal time round home by an athlete's own reaction and travel line, a quarter of a second
 * apart. `farM` is the farthest way that was timed.
 */
export function reachRings({ reactionMs, travel }: OwnSpeed, farM: number): ReachRing[] {
  const first = Math.ceil(reactionMs / 1000 / RING_EVERY_S + 1);
  return Array.from({ length: MOST_RINGS }, (_, i) => {
    const atS = (first + i) * RING_EVERY_S;
    const radiusM = distanceReached(atS - reactionMs / 1000, travel);
    return { atS, radiusM, isGuess: radiusM > farM };
  }).filter(({ radiusM }) => radiusM > LEAST_RADIUS_M && radiusM < MOST_BEYOND * farM);
}

/** More places than these nobody tells apart. */
const MOST_PLACES = 60;

/** Where it is every so many seconds on its way from the opponent to a target, seen from above, m. */
export function flightPlaces(
  target: Point,
  { projectile, speed, coming }: Pick<Rally, 'projectile' | 'speed' | 'coming'>,
  everyS: number,
): Point[] {
  const plan = { projectile, launchSpeed: speed, ...wayTo(target, coming) };
  const corners = cornersOf(target, coming);
  return Array.from({ length: MOST_PLACES }, (_, i) => flownMetres(plan, (i + 1) * everyS))
    .filter((metres) => metres < plan.distanceM)
    .map((metres) => placeAlong(corners, metres));
}
