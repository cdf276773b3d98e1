/** A place on the floor in metres: origin at home base, x to the athlete's right, y forward. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const HOME: Point = { x: 0, y: 0 };

/** Straight distance, metres. */
export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);

/** Heading from a to b in degrees clockwise from forward, in (−180, 180]. */
export const heading = (a: Point, b: Point): number =>
  (Math.atan2(b.x - a.x, b.y - a.y) * 180) / Math.PI;

/** The point a share of the way from a (0) to b (1). */
export const along = (a: Point, b: Point, share: number): Point => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
});

export type Side = 'left' | 'right';

/** Nearer than this to the line forward (metres), a place belongs to neither side. */
const CENTRE_HALF_WIDTH_M = 0.3;

/** Which side of the athlete a place is on; `null` when it is straight ahead or behind. */
export function sideOf({ x }: Point): Side | null {
  if (Math.abs(x) < CENTRE_HALF_WIDTH_M) return null;
  return x < 0 ? 'left' : 'right';
}
