import { mirrorPoint, swapSides, type Point } from './point.js';

/** Shapes of markers: with the letter they carry the meaning alone. */
export const MARKER_SHAPES = [
  'circle',
  'square',
  'triangle',
  'diamond',
  'hexagon',
  'cross',
] as const;
export type MarkerShape = (typeof MARKER_SHAPES)[number];

/** Plain cone colours; never a phase's. */
export const MARKER_COLOURS = ['blue', 'yellow', 'green', 'red', 'white', 'black'] as const;
export type MarkerColour = (typeof MARKER_COLOURS)[number];

/** Where a target lies for a player. */
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

/** Colour vision: full, no red–green, no blue–green, or none. */
export const COLOUR_VISIONS = ['full', 'red-green', 'blue-green', 'none'] as const;
export type ColourVision = (typeof COLOUR_VISIONS)[number];

/** Cone colours that can be told apart; without colour vision only by lightness. */
const TOLD_APART: Readonly<Record<ColourVision, readonly MarkerColour[]>> = {
  full: MARKER_COLOURS,
  'red-green': ['blue', 'yellow', 'white', 'black'],
  'blue-green': ['red', 'yellow', 'white', 'black'],
  none: ['white', 'black', 'yellow'],
};

/** Whether a colour can be told apart from the others. */
export const colourSeen = (colour: MarkerColour, vision: ColourVision): boolean =>
  TOLD_APART[vision].includes(colour);

/**
 * The same targets in colours this athlete tells apart. Shapes and letters stay; a colour comes
 * twice only when there are more targets than colours left.
 */
export function seenTargets(targets: readonly Target[], vision: ColourVision): Target[] {
  const uses = new Map(TOLD_APART[vision].map((colour) => [colour, 0]));
  for (const { colour } of targets)
    if (uses.has(colour)) uses.set(colour, (uses.get(colour) ?? 0) + 1);
  return targets.map((target) => {
    if (uses.has(target.colour)) return target;
    const [colour] = [...uses].sort(([, a], [, b]) => a - b)[0] ?? [target.colour];
    uses.set(colour, (uses.get(colour) ?? 0) + 1);
    return { ...target, colour };
  });
}
