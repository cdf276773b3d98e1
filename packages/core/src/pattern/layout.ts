import {
  MARKER_COLOURS,
  MARKER_SHAPES,
  type Point,
  type Target,
  type TargetKind,
} from '../floor/index.js';

type Place = readonly [name: string, kind: TargetKind, at: Point];

export interface LayoutSize {
  /** From home base to a wide target, sideways. */
  readonly wideM: number;
  /** From home base to a short target, forward. */
  readonly shortM: number;
  /** From home base to a deep target, backward. */
  readonly deepM: number;
}

const places = {
  line: ({ wideM }: LayoutSize): Place[] => [
    ['wide right', 'wide', { x: wideM, y: 0 }],
    ['wide left', 'wide', { x: -wideM, y: 0 }],
  ],
  cross: ({ wideM, shortM, deepM }: LayoutSize): Place[] => [
    ['short right', 'short', { x: wideM, y: shortM }],
    ['short left', 'short', { x: -wideM, y: shortM }],
    ['deep left', 'deep', { x: -wideM, y: -deepM }],
    ['deep right', 'deep', { x: wideM, y: -deepM }],
  ],
  star: (size: LayoutSize): Place[] => [
    ...places.cross(size),
    ['wide left', 'wide', { x: -size.wideM, y: 0 }],
    ['wide right', 'wide', { x: size.wideM, y: 0 }],
  ],
};

export const LAYOUTS = Object.keys(places) as Layout[];
export type Layout = keyof typeof places;

const TARGET_RADIUS_M = 0.25;

/** The targets of a layout preset round home base, lettered, shaped and coloured in order. */
export const layoutTargets = (layout: Layout, size: LayoutSize): Target[] =>
  places[layout](size).map(([name, kind, at], i) => ({
    letter: String.fromCharCode(65 + i),
    name,
    kind,
    at,
    radiusM: TARGET_RADIUS_M,
    shape: MARKER_SHAPES[i % MARKER_SHAPES.length] ?? 'circle',
    colour: MARKER_COLOURS[i % MARKER_COLOURS.length] ?? 'blue',
  }));
