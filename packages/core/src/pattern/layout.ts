import {
  MARKER_COLOURS,
  MARKER_SHAPES,
  type Point,
  type Target,
  type TargetKind,
} from '../floor/index.js';
import { MAX_TARGETS } from './pattern.js';

type Place = readonly [name: string, kind: TargetKind, at: Point];

const corner = (d: number, right: 1 | -1, forward: 1 | -1): Point => ({
  x: right * d * Math.SQRT1_2,
  y: forward * d * Math.SQRT1_2,
});

const shortPair = (d: number): Place[] => [
  ['short right', 'short', corner(d, 1, 1)],
  ['short left', 'short', corner(d, -1, 1)],
];

const deepPair = (d: number): Place[] => [
  ['deep left', 'deep', corner(d, -1, -1)],
  ['deep right', 'deep', corner(d, 1, -1)],
];

/** Target places of each preset for one distance, m: that of every target from home base, except in a box. */
const places = {
  /** Two targets on one side, one short and one deep. */
  fork: (d: number): Place[] => [
    ['short right', 'short', corner(d, 1, 1)],
    ['deep right', 'deep', corner(d, 1, -1)],
  ],
  cross: (d: number): Place[] => [...shortPair(d), ...deepPair(d)],
  star: (d: number): Place[] => [
    ...shortPair(d),
    ...deepPair(d),
    ['wide left', 'wide', { x: -d, y: 0 }],
    ['wide right', 'wide', { x: d, y: 0 }],
  ],
  line: (d: number): Place[] => [
    ['wide right', 'wide', { x: d, y: 0 }],
    ['wide left', 'wide', { x: -d, y: 0 }],
  ],
  lane: (d: number): Place[] => [
    ['short', 'short', { x: 0, y: d }],
    ['deep', 'deep', { x: 0, y: -d }],
  ],
  /** Home base set back from two front targets. */
  triangle: shortPair,
  /** A square whose side is the distance, home base in the middle of its back side. */
  box: (d: number): Place[] => [
    ['near right', 'wide', { x: d / 2, y: 0 }],
    ['far right', 'short', { x: d / 2, y: d }],
    ['far left', 'short', { x: -d / 2, y: d }],
    ['near left', 'wide', { x: -d / 2, y: 0 }],
  ],
};

/** Names of the presets. */
export const LAYOUTS = Object.keys(places) as Layout[];
export type Layout = keyof typeof places;

const TARGET_RADIUS_M = 0.25;

/**
 * Letter, shape and colour of the n-th marker. Shapes and colours cycle with different periods, so that no two of
 * twelve markers share both.
 */
export const markerCode = (turn: number): Pick<Target, 'letter' | 'shape' | 'colour'> => ({
  letter: String.fromCharCode(65 + turn),
  shape: MARKER_SHAPES[turn % MARKER_SHAPES.length] ?? 'circle',
  colour:
    MARKER_COLOURS[(turn + Math.floor(turn / MARKER_SHAPES.length)) % MARKER_COLOURS.length] ??
    'blue',
});

/** The targets of a preset around home base, with letters, shapes and colours in order. */
export const layoutTargets = (layout: Layout, distanceM: number): Target[] =>
  places[layout](distanceM).map(([name, kind, at], i) => ({
    ...markerCode(i),
    name,
    kind,
    at,
    radiusM: TARGET_RADIUS_M,
  }));

/** A further marker with the first unused letter; `null` if all are used. */
export function nextMarker(targets: readonly Target[], at: Point): Target | null {
  for (let turn = 0; turn < MAX_TARGETS; turn++) {
    const code = markerCode(turn);
    if (targets.some(({ letter }) => letter === code.letter)) continue;
    return { ...code, name: `target ${code.letter}`, kind: 'wide', at, radiusM: TARGET_RADIUS_M };
  }
  return null;
}
