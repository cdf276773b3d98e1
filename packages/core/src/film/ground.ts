import type { Point } from '../floor/index.js';
import { inverse, times, type Matrix } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';

/** A known place on the floor, and where it was clicked in the picture. */
export interface KnownPlace {
  /** Floor, m. */
  readonly floor: Point;
  /** Picture, px. */
  readonly image: Point;
}

/** A place on the floor read off the picture, m, with its error. */
export interface FloorPlace extends Point {
  readonly sdX: number;
  readonly sdY: number;
  /** Of x and y, m². */
  readonly covariance: number;
}

/** The mapping between a floor and its picture. */
export interface Ground {
  /** The homography from floor to picture: eight numbers, in normalised units. */
  readonly h: readonly number[];
  readonly covariance: Matrix;
  readonly scale: Scale;
  /** Standard deviation of a click, px. */
  readonly clickSdPx: number;
  /** Root mean square of the residuals at the known places, px. */
  readonly rmsPx: number;
}

/** Both planes are normalised to about one, for numerical stability. */
interface Scale {
  readonly floor: { readonly at: Point; readonly by: number };
  readonly image: { readonly at: Point; readonly by: number };
}

/** A homography has eight parameters, and each place gives two equations. */
export const FEWEST_PLACES = 4;
const MOST_STEPS = 60;
const SMALL_STEP = 1e-13;
const FIRST_DAMPING = 1e-4;

function scaled(points: readonly Point[]): { at: Point; by: number } {
  const mean = (of: (point: Point) => number) =>
    points.reduce((sum, point) => sum + of(point), 0) / points.length;
  const at = { x: mean(({ x }) => x), y: mean(({ y }) => y) };
  const far = mean(({ x, y }) => Math.hypot(x - at.x, y - at.y));
  return { at, by: Math.SQRT2 / (far || 1) };
}

const toScale = ({ at, by }: Scale['floor'], { x, y }: Point): Point => ({
  x: (x - at.x) * by,
  y: (y - at.y) * by,
});

const fromScale = ({ at, by }: Scale['floor'], { x, y }: Point): Point => ({
  x: x / by + at.x,
  y: y / by + at.y,
});

/** Applies a homography. */
function project(h: readonly number[], { x, y }: Point): Point & { readonly w: number } {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, k = 0] = h;
  const w = g * x + k * y + 1;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w, w };
}

/** The Jacobian of the picture point with respect to the eight parameters, 2 × 8. */
function byNumbers(h: readonly number[], at: Point): [number[], number[]] {
  const { x, y, w } = project(h, at);
  const [p, q] = [at.x / w, at.y / w];
  return [
    [p, q, 1 / w, 0, 0, 0, -p * x, -q * x],
    [0, 0, 0, p, q, 1 / w, -p * y, -q * y],
  ];
}

/** The Jacobian of the picture point with respect to the floor point, 2 × 2. */
function byPlace(h: readonly number[], at: Point): [[number, number], [number, number]] {
  const [a = 0, b = 0, , d = 0, e = 0, , g = 0, k = 0] = h;
  const { x, y, w } = project(h, at);
  return [
    [(a - g * x) / w, (b - k * x) / w],
    [(d - g * y) / w, (e - k * y) / w],
  ];
}

const normal = (rows: Matrix): number[][] =>
  Array.from({ length: 8 }, (_, i) =>
    Array.from({ length: 8 }, (_unused, j) =>
      rows.reduce((sum, row) => sum + (row[i] ?? 0) * (row[j] ?? 0), 0),
    ),
  );

/** A first estimate by linear least squares (DLT). */
function firstGuess(places: readonly KnownPlace[]): number[] | null {
  const rows: number[][] = [];
  const right: number[] = [];
  for (const { floor, image } of places) {
    rows.push([floor.x, floor.y, 1, 0, 0, 0, -floor.x * image.x, -floor.y * image.x]);
    rows.push([0, 0, 0, floor.x, floor.y, 1, -floor.x * image.y, -floor.y * image.y]);
    right.push(image.x, image.y);
  }
  const turned = inverse(normal(rows));
  return turned && times(turned, sums(rows, right));
}

/** The transposed matrix times a vector. */
const sums = (rows: Matrix, right: readonly number[]): number[] =>
  Array.from({ length: 8 }, (_, i) =>
    rows.reduce((sum, row, r) => sum + (row[i] ?? 0) * (right[r] ?? 0), 0),
  );

const leftOver = (h: readonly number[], places: readonly KnownPlace[]): number[] =>
  places.flatMap(({ floor, image }) => {
    const { x, y } = project(h, floor);
    return [image.x - x, image.y - y];
  });

const squares = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value * value, 0);

/** Minimises the squared distances in the picture by damped Gauss–Newton steps. */
function refine(first: readonly number[], places: readonly KnownPlace[]): readonly number[] {
  let h = first;
  let damping = FIRST_DAMPING;
  for (let step = 0; step < MOST_STEPS; step++) {
    const left = leftOver(h, places);
    const rows = places.flatMap(({ floor }) => byNumbers(h, floor));
    const damped = normal(rows).map((row, i) =>
      row.map((value, j) => (i === j ? value * (1 + damping) : value)),
    );
    const turned = inverse(damped);
    if (!turned) return h;
    const change = times(turned, sums(rows, left));
    const next = h.map((value, i) => value + (change[i] ?? 0));
    if (squares(leftOver(next, places)) <= squares(left)) {
      h = next;
      damping /= 10;
      if (Math.sqrt(squares(change)) < SMALL_STEP) break;
    } else damping *= 10;
  }
  return h;
}

/** The negative gradient of the sum of squares. */
const gradient = (h: readonly number[], places: readonly KnownPlace[]): number[] =>
  sums(
    places.flatMap(({ floor }) => byNumbers(h, floor)),
    leftOver(h, places),
  );

const NUDGE = 1e-6;

/**
 * The Hessian of the sum of squares by differences of the gradient, since Gauss–Newton neglects the residuals' part.
 */
const curvature = (h: readonly number[], places: readonly KnownPlace[]): number[][] =>
  h.map((_, j) => {
    const nudged = (by: number) =>
      gradient(
        h.map((value, k) => (k === j ? value + by : value)),
        places,
      );
    const [up, down] = [nudged(NUDGE), nudged(-NUDGE)];
    return up.map((value, i) => ((down[i] ?? 0) - value) / (2 * NUDGE));
  });

/** A·B·A for symmetric matrices. */
const sandwich = (a: Matrix, b: Matrix): number[][] => {
  const right = a.map((row) => times(b, row));
  return right.map((row) => times(a, row));
};

/**
 * The floor under a picture, from places on it that are known and were clicked: the homography that
 * least-squares fits where they were clicked (exact for four). It holds for what touches the floor.
 *
 * @param clickSdPx sd of a click in either direction, px
 * @returns a problem with `places` where there are too few, or three of four are in a line
 */
export function groundOf(places: readonly KnownPlace[], clickSdPx: number): Result<Ground> {
  if (places.length < FEWEST_PLACES)
    return wrong('places', places.length, `${FEWEST_PLACES} or more`);
  const scale = {
    floor: scaled(places.map(({ floor }) => floor)),
    image: scaled(places.map(({ image }) => image)),
  };
  const own = places.map(({ floor, image }) => ({
    floor: toScale(scale.floor, floor),
    image: toScale(scale.image, image),
  }));
  const first = firstGuess(own);
  const h = first && refine(first, own);
  const turned = h && inverse(curvature(h, own));
  if (!turned) return wrong('places', 'in a line', 'places of which no three are in a line');
  const spread = normal(own.flatMap(({ floor }) => byNumbers(h, floor)));
  const sd = clickSdPx * scale.image.by;
  return ok({
    ...{ h, scale, clickSdPx },
    covariance: sandwich(turned, spread).map((row) => row.map((value) => value * sd * sd)),
    rmsPx: Math.sqrt(squares(leftOver(h, own)) / places.length) / scale.image.by,
  });
}

/** Where a place on the floor is in the picture, px. */
export const inPicture = ({ h, scale }: Ground, floor: Point): Point =>
  fromScale(scale.image, project(h, toScale(scale.floor, floor)));

/** Lines are divided into pieces of this length, m, because part of them may be behind the camera. */
const PIECE_M = 0.25;
/** Nearer to the camera than this share of the known places' distance nothing is drawn. */
const NEAREST_W = 0.15;

/** A line on the floor in the picture, px: the part in front of the camera. */
export function lineInPicture(ground: Ground, from: Point, to: Point): Point[] {
  const pieces = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / PIECE_M));
  return Array.from({ length: pieces + 1 }, (_, i) => {
    const share = i / pieces;
    return { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
  })
    .filter((at) => project(ground.h, toScale(ground.scale.floor, at)).w > NEAREST_W)
    .map((at) => inPicture(ground, at));
}

/**
 * The place on the floor at a picture point, with first-order propagation of all clicks' errors. Hartley & Zisserman
 * 2004.
 */
export function onFloor({ h, scale, covariance, clickSdPx }: Ground, image: Point): FloorPlace {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, k = 0] = h;
  const { x: u, y: v } = toScale(scale.image, image);
  // Two linear equations in x and y.
  const [m, n, p, q] = [a - g * u, b - k * u, d - g * v, e - k * v];
  const det = m * q - n * p;
  const at = { x: (q * (u - c) - n * (v - f)) / det, y: (m * (v - f) - p * (u - c)) / det };
  const [[px, py], [qx, qy]] = byPlace(h, at);
  const turn = px * qy - py * qx;
  const back: Matrix = [
    [qy / turn, -py / turn],
    [-qx / turn, px / turn],
  ];
  const sd = clickSdPx * scale.image.by;
  const rows = byNumbers(h, at);
  const spread = rows.map((row, i) =>
    rows.map(
      (other, j) =>
        times(covariance, other).reduce((sum, value, n8) => sum + value * (row[n8] ?? 0), 0) +
        (i === j ? sd * sd : 0),
    ),
  );
  const of = (i: number, j: number): number =>
    [0, 1].reduce(
      (sum, r) =>
        sum +
        [0, 1].reduce(
          (part, s) => part + (back[i]?.[r] ?? 0) * (spread[r]?.[s] ?? 0) * (back[j]?.[s] ?? 0),
          0,
        ),
      0,
    );
  const by = scale.floor.by;
  return {
    ...fromScale(scale.floor, at),
    sdX: Math.sqrt(of(0, 0)) / by,
    sdY: Math.sqrt(of(1, 1)) / by,
    covariance: of(0, 1) / by ** 2,
  };
}

/**
 * The distance between two places on the floor, m, with its error. Both share the fit's error, which
 * moves them alike and is counted twice here: the error is rather too large.
 */
export function distanceOf(
  from: FloorPlace,
  to: FloorPlace,
): { readonly m: number; readonly sdM: number } {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const m = Math.hypot(dx, dy);
  const [ux, uy] = m === 0 ? [1, 0] : [dx / m, dy / m];
  const along = ({ sdX, sdY, covariance }: FloorPlace) =>
    (ux * sdX) ** 2 + (uy * sdY) ** 2 + 2 * ux * uy * covariance;
  return { m, sdM: Math.sqrt(along(from) + along(to)) };
}
