import { timeToCover } from '../budget/index.js';
import {
  dot,
  headed,
  heading,
  midpoint,
  minus,
  offset,
  pathLength,
  sideSign,
  type Point,
  type Side,
} from '../floor/index.js';
import {
  standingAfter,
  type Build,
  type FootPlace,
  type Placement,
  type PlacementPhase,
  type Standing,
  type StepKind,
} from '../pattern/index.js';

/** A placement before it has a time. */
export type Footfall = Omit<Placement, 'atMs'>;

/** Distance of each foot's track from the line of travel, m. */
const TRACK_M = 0.09;
/** Outward turn of the feet in a stance, degrees. */
export const TOE_OUT_DEG = 10;
/** The least interval between landings, ms. */
const LEAST_INTERVAL_MS = 100;
/** Factor between consecutive intervals of a quickening way. */
const QUICKENING = 0.9;

/** A straight way over the floor. */
export interface Way {
  readonly from: Point;
  readonly to: Point;
}

/** A place `covered` metres along a way, on a foot's track. */
export function onTrack({ from, to }: Way, covered: number, foot: Side, trackM = TRACK_M): Point {
  const way = heading(from, to);
  return offset(offset(from, headed(way), covered), headed(way + 90), sideSign(foot) * trackM);
}

/** How far along a way a place is, m. */
export const covered = ({ from, to }: Way, at: Point): number =>
  dot(minus(at, from), headed(heading(from, to)));

/** Cumulative distances of steps with relative lengths `weights`, over `totalM`. */
export function spread(totalM: number, weights: readonly number[]): number[] {
  const sum = weights.reduce((a, b) => a + b, 0);
  let done = 0;
  return weights.map((weight) => (done += (totalM * weight) / sum));
}

/** Makes a footfall. */
export const footfall = (
  foot: Side,
  { at, headingDeg }: FootPlace,
  phase: PlacementPhase,
  kind: StepKind,
  weight: number,
): Footfall => ({ foot, at, headingDeg, phase, kind, weight });

/** Simultaneous footfalls: one foot, or both in a hop. */
export type Landing = readonly Footfall[];

/**
 * Times of landings that carry the body from `standing` onward, ms after it starts to move: when
 * the middle between the feet gets there by the travel model, but never within 100 ms of the
 * landing before. Asked to quicken, the same time is shared out so that every step takes a tenth
 * less than the one before.
 */
export function landingTimes(
  standing: Standing,
  landings: readonly Landing[],
  { travel }: Pick<Build, 'travel'>,
  quicken: boolean,
): number[] {
  const path = [midpoint(standing.left.at, standing.right.at)];
  let feet = standing;
  for (const landing of landings) {
    feet = standingAfter(
      feet,
      landing.map((fall) => ({ ...fall, atMs: 0 })),
    );
    path.push(midpoint(feet.left.at, feet.right.at));
  }
  const total = pathLength(path);
  let before = 0;
  const times = landings.map((_, i) => {
    const there = 1000 * timeToCover(pathLength(path.slice(0, i + 2)), total, travel);
    before = Math.max(there, before + LEAST_INTERVAL_MS);
    return before;
  });
  if (!quicken) return times;
  const shares = landings.map((_, i) => QUICKENING ** i);
  const least = LEAST_INTERVAL_MS / (shares.at(-1) ?? 1);
  const sum = shares.reduce((a, b) => a + b, 0);
  return spread(Math.max(before, least * sum), shares);
}
