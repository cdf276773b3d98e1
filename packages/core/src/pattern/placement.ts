import { mirrorPoint, otherSide, type Point, type Side } from '../floor/index.js';

/** Phases a placement can belong to, in the order of a repetition. */
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

/** The place of a foot: the centre of its sole, and its heading. */
export interface FootPlace {
  readonly at: Point;
  /** Degrees clockwise from forward. */
  readonly headingDeg: number;
}

/** A foot placement. */
export interface Placement extends FootPlace {
  readonly foot: Side;
  /** When it lands, ms on the pattern's clock, 0 at the cue. */
  readonly atMs: number;
  readonly phase: PlacementPhase;
  readonly kind: StepKind;
  /** Share of body weight on this foot after landing, 0–1. */
  readonly weight: number;
}

/** Both feet standing still. */
export interface Standing {
  readonly left: FootPlace;
  readonly right: FootPlace;
  /** Share of weight on the left foot, 0–1; the rest is on the right. */
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

/** The placement mirrored, with the other foot. */
export const mirrorPlacement = (placement: Placement): Placement => ({
  ...mirrorFoot(placement),
  foot: otherSide(placement.foot),
});

/** The stance mirrored. */
export const mirrorStanding = ({ left, right, leftWeight }: Standing): Standing => ({
  left: mirrorFoot(right),
  right: mirrorFoot(left),
  leftWeight: 1 - leftWeight,
});
