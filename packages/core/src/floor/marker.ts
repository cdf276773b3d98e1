import { mirrorPoint, swapSides, type Point } from './point.js';

export const MARKER_SHAPES = [
  'circle',
  'square',
  'triangle',
  'diamond',
  'hexagon',
  'cross',
] as const;
export type MarkerShape = (typeof MARKER_SHAPES)[number];

export const MARKER_COLOURS = ['blue', 'yellow', 'green', 'red', 'white', 'black'] as const;
export type MarkerColour = (typeof MARKER_COLOURS)[number];

export const TARGET_KINDS = ['wide', 'deep', 'short', 'centre'] as const;
export type TargetKind = (typeof TARGET_KINDS)[number];

/** A target on the floor. Shape and letter carry the meaning; colour only helps. */
export interface Target {
  /** One capital letter, unique in its pattern: the target's name in cues and files. */
  readonly letter: string;
  /** What the coach calls it, e.g. "deep left". */
  readonly name: string;
  readonly kind: TargetKind;
  readonly shape: MarkerShape;
  readonly colour: MarkerColour;
  /** Metres from home base. */
  readonly at: Point;
  readonly radiusM: number;
}

/** The same target on the other side of the athlete, renamed to match; its letter stays. */
export const mirrorTarget = (target: Target): Target => ({
  ...target,
  name: swapSides(target.name),
  at: mirrorPoint(target.at),
});
