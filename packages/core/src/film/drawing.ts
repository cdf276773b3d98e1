import type { Point } from '../floor/index.js';

/** A coach's drawing on a still, in film pixels. */
export type Drawn =
  | { readonly kind: 'line'; readonly from: Point; readonly to: Point }
  /** The angle at `at` between the directions of `from` and `to`. */
  | { readonly kind: 'angle'; readonly from: Point; readonly at: Point; readonly to: Point }
  | { readonly kind: 'path'; readonly places: readonly Point[] }
  | { readonly kind: 'word'; readonly at: Point; readonly text: string };

/** What can be drawn. */
export const DRAWN_KINDS = ['line', 'angle', 'path', 'word'] as const satisfies Drawn['kind'][];
export type DrawnKind = (typeof DRAWN_KINDS)[number];

/**
 * The angle between two ways from a place, degrees, 0 to 180: in the picture's plane, so true only of
 * limbs that lie in it.
 *
 * @example
 * angleAt({ x: 1, y: 0 }, { x: 0, y: 0 }, { x: 0, y: 1 }); // 90
 */
export function angleAt(from: Point, at: Point, to: Point): number {
  const [a, b] = [from, to].map(({ x, y }) => Math.atan2(y - at.y, x - at.x)) as [number, number];
  const between = Math.abs(a - b) * (180 / Math.PI);
  return between > 180 ? 360 - between : between;
}

/** How far a line leans from upright, degrees, 0 to 90: of a trunk, its lean in the picture's plane. */
export function leanOf(from: Point, to: Point): number {
  const lean = Math.abs(Math.atan2(to.x - from.x, from.y - to.y)) * (180 / Math.PI);
  return lean > 90 ? 180 - lean : lean;
}

const CLICKS: Readonly<Record<Exclude<DrawnKind, 'path' | 'word'>, number>> = { line: 2, angle: 3 };

/** The drawing that clicked points make, once there are enough; a path is ended explicitly. */
export function drawnFrom(
  kind: Exclude<DrawnKind, 'word'>,
  places: readonly Point[],
  isDone = false,
): Drawn | null {
  const [first, second, third] = places;
  if (kind === 'path') return isDone && second ? { kind, places } : null;
  if (places.length < CLICKS[kind] || !first || !second) return null;
  if (kind === 'line') return { kind, from: first, to: second };
  return third ? { kind, from: first, at: second, to: third } : null;
}
