import { mirrorPoint, otherSide, type Point, type Side } from '../floor/index.js';

/** The movements and positions a foot can be put down in, in the order of a repetition. */
export const PLACEMENT_PHASES = ['split', 'travel', 'load', 'action', 'recovery'] as const;
export type PlacementPhase = (typeof PLACEMENT_PHASES)[number];

/** Kinds of step. */
export const STEP_KINDS = [
  'split',
  'turn',
  'shuffle',
  'crossover',
  'drop',
  'run',
  'lunge',
  'hop',
  'push',
  'plant',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** Where a foot stands: the middle of its sole. */
export interface FootPlace {
  readonly at: Point;
  /** Degrees clockwise from forward. */
  readonly headingDeg: number;
}

/** One foot put down on the floor. */
export interface Placement extends FootPlace {
  readonly foot: Side;
  /** When it lands, on the pattern's own clock: ms, 0 at the cue. */
  readonly atMs: number;
  readonly phase: PlacementPhase;
  readonly kind: StepKind;
  /** Share of the body's weight on this foot once it has landed, 0–1. */
  readonly weight: number;
}

/** Both feet on the floor, still. */
export interface Standing {
  readonly left: FootPlace;
  readonly right: FootPlace;
  /** Share of the weight on the left foot, 0–1; the rest is on the right. */
  readonly leftWeight: number;
}

/**
 * Distance between the feet's middles, metres.
 *
 * @example
 * const foot = (x) => ({ at: { x, y: 0 }, headingDeg: 0 });
 * baseWidth({ left: foot(-0.25), right: foot(0.25), leftWeight: 0.5 }); // 0.5
 */
export const baseWidth = ({ left, right }: Standing): number =>
  Math.hypot(right.at.x - left.at.x, right.at.y - left.at.y);

const mirrorFoot = <Foot extends FootPlace>(foot: Foot): Foot => ({
  ...foot,
  at: mirrorPoint(foot.at),
  headingDeg: 0 - foot.headingDeg,
});

/** The same step on the other side, by the other foot. */
export const mirrorPlacement = (placement: Placement): Placement => ({
  ...mirrorFoot(placement),
  foot: otherSide(placement.foot),
});

/** The same stance, left and right changed. */
export const mirrorStanding = ({ left, right, leftWeight }: Standing): Standing => ({
  left: mirrorFoot(right),
  right: mirrorFoot(left),
  leftWeight: 1 - leftWeight,
});
