import { ok, wrong, type Result } from '../result/index.js';
import { arcOf, arcProblem, MOST_BOUNCES, passesOver, type Arc, type ArcPlan } from './arc.js';

/** How a ball is played over the floor, for a whole rally. */
export interface Lift {
  /** Height of the strike it comes from, and at which it is taken when it does not bounce, m. */
  readonly struckM: number;
  readonly takenM: number;
  /** Of the two ways to a place, the high one. */
  readonly isLobbed: boolean;
  /** Shares kept at a bounce on the floor. */
  readonly alongKept: number;
  readonly upKept: number;
}

/** Which place an arc is to meet: on the floor some way before its end, or in the air at its end. */
export interface Aim extends Omit<ArcPlan, 'launchAngleDeg'> {
  /** Bounces so many metres before the end; `null` when it is taken in the air. */
  readonly bounceBeforeM: number | null;
  /** Where it is taken in the air, m. */
  readonly takenM: number;
  readonly isLobbed: boolean;
}

/** An arc with the angle that it leaves at. */
export interface AimedArc extends Arc {
  readonly launchAngleDeg: number;
}

const [LOWEST_DEG, HIGHEST_DEG, EVERY_DEG] = [-60, 87, 3];
const HALVINGS = 24;

/**
 * The arc that meets a place: there are two, a low and a high one (a lob), or none when it is too
 * slow; the problem says so. A flight that would come down a second time before its end is a
 * problem too.
 */
export function aimedArc(aim: Aim): Result<AimedArc> {
  const problem = arcProblem(aim);
  if (problem) return problem;
  const { bounceBeforeM, distanceM, launchSpeed } = aim;
  if (bounceBeforeM !== null && !(bounceBeforeM > 0 && bounceBeforeM < distanceM))
    return wrong('bounceBeforeM', bounceBeforeM, `between 0 and ${distanceM.toFixed(1)} m`);
  const placeM = bounceBeforeM === null ? aim.takenM : 0;
  const placeAtM = distanceM - (bounceBeforeM ?? 0);
  const isOver = (launchAngleDeg: number) =>
    passesOver({ ...aim, distanceM: placeAtM, launchAngleDeg }, placeM);
  const scanned = Array.from({ length: (HIGHEST_DEG - LOWEST_DEG) / EVERY_DEG + 1 }, (_, i) => {
    const deg = LOWEST_DEG + i * EVERY_DEG;
    return { deg, isOver: isOver(deg) };
  });
  const crossings = scanned.flatMap((from, i) => {
    const to = scanned[i + 1];
    return to && from.isOver !== to.isOver ? [{ from, to }] : [];
  });
  const chosen = aim.isLobbed ? crossings.at(-1) : crossings[0];
  if (!chosen) return wrong('launchSpeed', launchSpeed, 'fast enough to come there');
  let [low, high] = [chosen.from.deg, chosen.to.deg];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (isOver(middle) === chosen.from.isOver) low = middle;
    else high = middle;
  }
  // The half that is at the place or over it: on the other it would touch the floor before.
  const launchAngleDeg = chosen.from.isOver ? low : high;
  const arc = arcOf({ ...aim, launchAngleDeg });
  const wanted = bounceBeforeM === null ? 0 : 1;
  // One that rolls to a stop has bounced more often than anybody counts.
  const bounces = arc.ok ? arc.value.bounces.length : MOST_BOUNCES;
  return arc.ok && bounces <= wanted
    ? ok({ ...arc.value, launchAngleDeg })
    : wrong('bounces', bounces, `at most ${wanted} before it is taken`);
}
