import type { Point, Target } from '../floor/index.js';
import { aimedArc } from './aim.js';
import { arcPlaces, type ArcPlace } from './arc.js';
import { flownMetres } from './flight.js';
import type { OwnSpeed } from './own-speed.js';
import { aimAlong, comingTo, takenAt, type Rally } from './rally.js';
import { distanceReached } from './travel.js';
import { cornersOf, placeAlong, wayTo } from './way.js';

/** Where an athlete can take what comes so many seconds after the opponent's contact. */
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
 * Rings of equal time round home by an athlete's own reaction, travel line and reach, a quarter of a
 * second apart. `farM` is the farthest way that was timed.
 */
export function reachRings(
  { reactionMs, travel, reachM = 0 }: OwnSpeed,
  farM: number,
): ReachRing[] {
  const first = Math.ceil(reactionMs / 1000 / RING_EVERY_S + 1);
  return Array.from({ length: MOST_RINGS }, (_, i) => {
    const atS = (first + i) * RING_EVERY_S;
    const wayM = distanceReached(atS - reactionMs / 1000, travel);
    return { atS, radiusM: wayM + Math.min(reachM, wayM), isGuess: wayM > farM };
  }).filter(({ radiusM }) => radiusM > LEAST_RADIUS_M && radiusM < MOST_BEYOND * farM);
}

/** More places than these nobody tells apart. */
const MOST_PLACES = 60;

/** A flight to draw, from above and from the side. */
export interface DrawnFlight {
  /** Where it is every so many seconds, seen from above, m. */
  readonly above: readonly Point[];
  /** Where it bounces on the floor before it is taken, seen from above. */
  readonly bounceAt: Point | null;
  /** From the side; `null` in level flight. */
  readonly side: {
    readonly line: readonly ArcPlace[];
    readonly each: readonly ArcPlace[];
    readonly wallAtM: number | null;
  } | null;
}

/** Where it is every so many seconds on its way from the opponent to a target. */
export function drawnFlight(
  target: Pick<Target, 'letter' | 'at'>,
  rally: Rally,
  everyS: number,
): DrawnFlight {
  const { projectile, speed, lift } = rally;
  const coming = comingTo(rally, target.letter);
  const at = takenAt(rally, target);
  const corners = cornersOf(at, coming);
  const way = wayTo(at, coming);
  const toFloor = (metres: number) => placeAlong(corners, metres);
  const bounceM = coming.bounceBeforeM === null ? null : way.distanceM - coming.bounceBeforeM;
  // Level flight off a wall reckons no floor.
  const hasBounce = bounceM !== null && bounceM > 0 && (lift || way.wallAtM === null);
  const bounceAt = hasBounce ? toFloor(bounceM) : null;
  if (!lift) {
    const plan = { projectile, launchSpeed: speed, ...way };
    const above = Array.from({ length: MOST_PLACES }, (_, i) => flownMetres(plan, (i + 1) * everyS))
      .filter((metres) => metres < plan.distanceM)
      .map(toFloor);
    return { above, bounceAt, side: null };
  }
  const aim = aimAlong({ projectile, coming }, lift, speed, way);
  const arc = aimedArc(aim);
  if (!arc.ok) return { above: [], bounceAt, side: null };
  const { line, each } = arcPlaces({ ...aim, launchAngleDeg: arc.value.launchAngleDeg }, everyS);
  return {
    above: each.slice(0, MOST_PLACES).map(({ atM }) => toFloor(atM)),
    bounceAt,
    side: { line, each, wallAtM: way.wallAtM },
  };
}
