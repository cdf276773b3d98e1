import type { Point } from '../floor/index.js';
import { median } from '../numeric/index.js';
import { angleAt, leanOf } from './drawing.js';

/** A body's landmarks, from the head to the feet. */
export const BODY_POINTS = [
  'nose',
  'leftShoulder',
  'rightShoulder',
  'leftElbow',
  'rightElbow',
  'leftWrist',
  'rightWrist',
  'leftHip',
  'rightHip',
  'leftKnee',
  'rightKnee',
  'leftAnkle',
  'rightAnkle',
  'leftHeel',
  'rightHeel',
  'leftToe',
  'rightToe',
] as const;
/** One of them. */
export type BodyPointName = (typeof BODY_POINTS)[number];

/** The lines drawn between landmarks. */
export const BODY_LINES: readonly (readonly [BodyPointName, BodyPointName])[] = [
  ['leftShoulder', 'rightShoulder'],
  ['leftHip', 'rightHip'],
  ['leftShoulder', 'leftHip'],
  ['rightShoulder', 'rightHip'],
  ['leftShoulder', 'leftElbow'],
  ['leftElbow', 'leftWrist'],
  ['rightShoulder', 'rightElbow'],
  ['rightElbow', 'rightWrist'],
  ['leftHip', 'leftKnee'],
  ['leftKnee', 'leftAnkle'],
  ['rightHip', 'rightKnee'],
  ['rightKnee', 'rightAnkle'],
  ['leftAnkle', 'leftHeel'],
  ['leftHeel', 'leftToe'],
  ['rightAnkle', 'rightHeel'],
  ['rightHeel', 'rightToe'],
];

/** A landmark, film pixels, with the probability that it is visible, 0–1. */
export interface BodyPoint extends Point {
  readonly seen: number;
}

/** A body in one frame. */
export type Body = Readonly<Record<BodyPointName, BodyPoint>>;

/** A square of the picture around a body and rotated with it, as the model gets it. */
export interface BodyCrop {
  readonly centre: Point;
  readonly sizePx: number;
  /** Clockwise rotation, rad; 0 for an upright body. */
  readonly turnRad: number;
}

/** Side length of the model's input, px. */
export const MODEL_PX = 256;
/** Margin around a body, as a factor. */
const ROOM = 1.25;
/** The soles are farther from the hips than the top of the head, by this factor. */
const HEAD_TO_REACH = 1.1;
/** A landmark less visible than this is a guess. */
export const LEAST_SEEN = 0.5;
/** Below this probability there is no body. */
const LEAST_BODY = 0.5;

const VALUES = 5;
/** Index of each landmark in the model's output, which contains more than are used here. */
const PLACE: Readonly<Record<BodyPointName, number>> = {
  ...{ nose: 0, leftShoulder: 11, rightShoulder: 12, leftElbow: 13, rightElbow: 14 },
  ...{ leftWrist: 15, rightWrist: 16, leftHip: 23, rightHip: 24, leftKnee: 25, rightKnee: 26 },
  ...{ leftAnkle: 27, rightAnkle: 28, leftHeel: 29, rightHeel: 30, leftToe: 31, rightToe: 32 },
};
/** Indices of the hips' centre, and of a point as far from it as the body reaches. */
const [MIDDLE_PLACE, REACH_PLACE] = [33, 34];
/** Number of values the model returns for its landmarks. */
export const MODEL_VALUES = 39 * VALUES;

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
const gap = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
const logistic = (value: number): number => 1 / (1 + Math.exp(-value));

const cropAround = (centre: Point, toward: Point, reachPx: number): BodyCrop => ({
  centre,
  sizePx: 2 * ROOM * reachPx,
  turnRad: Math.atan2(toward.x - centre.x, centre.y - toward.y),
});

/** The crop for a body, from the point between the hips and the top of the head. */
export const cropOfBody = (hips: Point, head: Point): BodyCrop =>
  cropAround(hips, head, HEAD_TO_REACH * gap(hips, head));

/** Converts a place in the crop, px from its corner, to the picture. */
export function fromCrop({ centre, sizePx, turnRad }: BodyCrop, x: number, y: number): Point {
  const [u, v] = [x, y].map((px) => (px / MODEL_PX - 0.5) * sizePx) as [number, number];
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
  return { x: centre.x + u * cos - v * sin, y: centre.y + u * sin + v * cos };
}

/** A body found in a crop. */
export interface FoundBody {
  readonly body: Body;
  /** The crop for a more precise search in the same frame, and for the next frame. */
  readonly next: BodyCrop;
}

/**
 * A body out of a model's values: for each of its points x, y (pixels of the square), depth, and how
 * surely it is seen (log odds, twice).
 *
 * @param values `MODEL_VALUES` of them
 * @param isBody how surely there is a body at all, 0–1
 * @returns `null` where there is none
 */
export function foundBody(
  values: ArrayLike<number>,
  isBody: number,
  crop: BodyCrop,
): FoundBody | null {
  if (values.length !== MODEL_VALUES || !(isBody >= LEAST_BODY)) return null;
  const at = (place: number): Point =>
    fromCrop(crop, values[VALUES * place] ?? NaN, values[VALUES * place + 1] ?? NaN);
  const body = Object.fromEntries(
    BODY_POINTS.map((name) => {
      const seen = logistic(values[VALUES * PLACE[name] + 3] ?? -Infinity);
      return [name, { ...at(PLACE[name]), seen }];
    }),
  ) as Record<BodyPointName, BodyPoint>;
  const [hips, reach] = [at(MIDDLE_PLACE), at(REACH_PLACE)];
  const next = cropAround(hips, reach, gap(hips, reach));
  return next.sizePx > 0 && Number.isFinite(next.sizePx) ? { body, next } : null;
}

/** Angles of a body in the picture's plane, degrees; a joint of which an end is not seen has none. */
export interface BodyAngles {
  /** 180 for a straight leg. */
  readonly leftKnee: number | null;
  readonly rightKnee: number | null;
  /** Angle between trunk and thigh; 180 for an upright body. */
  readonly leftHip: number | null;
  readonly rightHip: number | null;
  /** From vertical. */
  readonly trunkLean: number | null;
  /** Height of the hips above the ankles, as a share of the legs' length in the picture. */
  readonly hipHeight: number | null;
}

/** The names of a body's angles. */
export const BODY_ANGLES = [
  'leftKnee',
  'rightKnee',
  'leftHip',
  'rightHip',
  'trunkLean',
  'hipHeight',
] as const satisfies readonly (keyof BodyAngles)[];

/**
 * A body's angles in one frame. They are only true of limbs parallel to the picture: a knee that points at the camera
 * looks straight.
 */
export function bodyAngles(body: Body): BodyAngles {
  const isSeen = (...names: BodyPointName[]) =>
    names.every((name) => body[name].seen >= LEAST_SEEN);
  const joint = (from: BodyPointName, at: BodyPointName, to: BodyPointName): number | null =>
    isSeen(from, at, to) ? angleAt(body[from], body[at], body[to]) : null;
  const [hips, shoulders, ankles] = [
    middle(body.leftHip, body.rightHip),
    middle(body.leftShoulder, body.rightShoulder),
    middle(body.leftAnkle, body.rightAnkle),
  ];
  const legPx =
    (gap(body.leftHip, body.leftKnee) +
      gap(body.leftKnee, body.leftAnkle) +
      gap(body.rightHip, body.rightKnee) +
      gap(body.rightKnee, body.rightAnkle)) /
    2;
  const legs = ['leftHip', 'rightHip', 'leftKnee', 'rightKnee', 'leftAnkle', 'rightAnkle'] as const;
  return {
    leftKnee: joint('leftHip', 'leftKnee', 'leftAnkle'),
    rightKnee: joint('rightHip', 'rightKnee', 'rightAnkle'),
    leftHip: joint('leftShoulder', 'leftHip', 'leftKnee'),
    rightHip: joint('rightShoulder', 'rightHip', 'rightKnee'),
    trunkLean: isSeen('leftShoulder', 'rightShoulder', 'leftHip', 'rightHip')
      ? leanOf(hips, shoulders)
      : null,
    hipHeight: isSeen(...legs) && legPx > 0 ? (ankles.y - hips.y) / legPx : null,
  };
}

/** Height of the hips relative to the stance; `null` if either is unknown. */
export const hipHeightAgainst = (
  { hipHeight }: Pick<BodyAngles, 'hipHeight'>,
  stance: Pick<BodyAngles, 'hipHeight'> | null,
): number | null => (hipHeight !== null && stance?.hipHeight ? hipHeight / stance.hipHeight : null);

/** An angle over several bodies: median, least and greatest, and their number. */
export interface AngleOver {
  readonly median: number;
  readonly least: number;
  readonly most: number;
  readonly of: number;
}

/** Each angle over several bodies, such as the same position in several reps, where it is known. */
export const anglesOver = (
  bodies: readonly Body[],
): Readonly<Record<keyof BodyAngles, AngleOver | null>> => {
  const all = bodies.map(bodyAngles);
  const over = (name: keyof BodyAngles): AngleOver | null => {
    const known = all.flatMap((angles) => angles[name] ?? []);
    return known.length === 0
      ? null
      : {
          median: median(known),
          least: Math.min(...known),
          most: Math.max(...known),
          of: known.length,
        };
  };
  return {
    ...{ leftKnee: over('leftKnee'), rightKnee: over('rightKnee') },
    ...{ leftHip: over('leftHip'), rightHip: over('rightHip') },
    ...{ trunkLean: over('trunkLean'), hipHeight: over('hipHeight') },
  };
};

/** The body with a landmark moved by hand, which makes it certain. */
export const withPoint = (body: Body, name: BodyPointName, { x, y }: Point): Body => ({
  ...body,
  [name]: { x, y, seen: 1 },
});
