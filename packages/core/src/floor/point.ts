/** A place on the floor in metres: origin at home base, x to the athlete's right, y forward. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Home base: where the floor's coordinates begin. */
export const HOME: Point = { x: 0, y: 0 };

/** Straight distance, metres. */
export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);

/** Heading from a to b in degrees clockwise from forward, in (−180, 180]. */
export const heading = (a: Point, b: Point): number =>
  (Math.atan2(b.x - a.x, b.y - a.y) * 180) / Math.PI;

/** The unit vector of a heading in degrees clockwise from forward. */
export const headed = (degrees: number): Point => ({
  x: Math.sin((degrees * Math.PI) / 180),
  y: Math.cos((degrees * Math.PI) / 180),
});

/** Least turn from one heading to another, degrees in [−180, 180); clockwise is positive. */
export const turn = (fromDeg: number, toDeg: number): number =>
  ((((toDeg - fromDeg + 180) % 360) + 360) % 360) - 180;

/** The point a share of the way from a (0) to b (1). */
export const along = (a: Point, b: Point, share: number): Point => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
});

/** Half way between two points, m. */
export const midpoint = (a: Point, b: Point): Point => along(a, b, 0.5);

/** a + scale·b. */
export const offset = (a: Point, b: Point, scale = 1): Point => ({
  x: a.x + scale * b.x,
  y: a.y + scale * b.y,
});

/** The way from `b` to `a`, m. */
export const minus = (a: Point, b: Point): Point => offset(a, b, -1);

/** Scalar product, m². */
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;

/** Length of the line through the points in order, metres. */
export const pathLength = (points: readonly Point[]): number =>
  points.reduce((sum, point, i) => sum + distance(points[i - 1] ?? point, point), 0);

/** The same place on the other side. 0 − x rather than −x: a mirrored 0 must not become −0. */
export const mirrorPoint = ({ x, y }: Point): Point => ({ x: 0 - x, y });

/** The athlete's own sides. */
export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];

/** The side across. */
export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** −1 for left, 1 for right: the sign of x on that side. */
export const sideSign = (side: Side): 1 | -1 => (side === 'left' ? -1 : 1);

/** Text in which left and right have changed places; swapped twice it is the original. */
export const swapSides = (text: string): string =>
  text.replace(/\b(left|right|Left|Right|LEFT|RIGHT)\b/g, (word) => SWAPPED[word] ?? word);

const SWAPPED: Readonly<Record<string, string>> = {
  left: 'right',
  right: 'left',
  Left: 'Right',
  Right: 'Left',
  LEFT: 'RIGHT',
  RIGHT: 'LEFT',
};

/** Nearer than this to the line forward (metres), a place belongs to neither side. */
const CENTRE_HALF_WIDTH_M = 0.3;

/** Which side of the athlete a place is on; `null` when it is straight ahead or behind. */
export function sideOf({ x }: Point): Side | null {
  if (Math.abs(x) < CENTRE_HALF_WIDTH_M) return null;
  return x < 0 ? 'left' : 'right';
}
