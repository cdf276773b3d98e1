import type { Point } from '../floor/index.js';
import { median } from '../numeric/index.js';
import { angleAt, leanOf } from './drawing.js';

/** Points of a body that are looked for in a picture, in order from the head to the feet. */
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

/** What is drawn between the points. */
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

/** A point of a body: pixels of the film, and how surely it is seen there, 0–1. */
export interface BodyPoint extends Point {
  readonly seen: number;
}

/** A body in one frame. */
export type Body = Readonly<Record<BodyPointName, BodyPoint>>;

/** A square of the picture round a body, turned with it: what the model is shown. */
export interface BodyCrop {
  readonly centre: Point;
  readonly sizePx: number;
  /** Clockwise, rad: 0 of a body that stands upright. */
  readonly turnRad: number;
}

/** The model is shown a square of so many pixels. */
export const MODEL_PX = 256;
/** Room left round a body. */
const ROOM = 1.25;
/** From between the hips to the top of the head there is less than to the soles. */
const HEAD_TO_REACH = 1.1;
/** Less sure than this a point is a guess. */
export const LEAST_SEEN = 0.5;
/** Less sure than this there is no body where it was looked for. */
const LEAST_BODY = 0.5;

const VALUES = 5;
/** Where the model has each point; it finds more than are of use here. */
const PLACE: Readonly<Record<BodyPointName, number>> = {
  ...{ nose: 0, leftShoulder: 11, rightShoulder: 12, leftElbow: 13, rightElbow: 14 },
  ...{ leftWrist: 15, rightWrist: 16, leftHip: 23, rightHip: 24, leftKnee: 25, rightKnee: 26 },
  ...{ leftAnkle: 27, rightAnkle: 28, leftHeel: 29, rightHeel: 30, leftToe: 31, rightToe: 32 },
};
/** The middle of the hips, and a point as far from it as the body reaches. */
const [MIDDLE_PLACE, REACH_PLACE] = [33, 34];
/** What the model gives of a body: values of all its points. */
export const MODEL_VALUES = 39 * VALUES;

const middle = (a: Point, b: Point): Point => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 });
const gap = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
const logistic = (value: number): number => 1 / (1 + Math.exp(-value));

const cropAround = (centre: Point, toward: Point, reachPx: number): BodyCrop => ({
  centre,
  sizePx: 2 * ROOM * reachPx,
  turnRad: Math.atan2(toward.x - centre.x, centre.y - toward.y),
});

/** The square to look in, from the middle between the hips and the top of the head. */
export const cropOfBody = (hips: Point, head: Point): BodyCrop =>
  cropAround(hips, head, HEAD_TO_REACH * gap(hips, head));

/** A place of the square, its pixels from the corner, in the picture. */
export function fromCrop({ centre, sizePx, turnRad }: BodyCrop, x: number, y: number): Point {
  const [u, v] = [x, y].map((px) => (px / MODEL_PX - 0.5) * sizePx) as [number, number];
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
  return { x: centre.x + u * cos - v * sin, y: centre.y + u * sin + v * cos };
}

/** What a model found in a square of the picture. */
export interface FoundBody {
  readonly body: Body;
  /** Where to look in the same frame for a better answer, and in the next one. */
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
  /** 180 is a straight leg. */
  readonly leftKnee: number | null;
  readonly rightKnee: number | null;
  /** Between trunk and thigh; 180 is upright. */
  readonly leftHip: number | null;
  readonly rightHip: number | null;
  /** Of the trunk from upright. */
  readonly trunkLean: number | null;
  /** Height of the hips over the ankles, as a share of the legs' own length in the picture. */
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
 * Angles of a body in one frame. True only of limbs that lie in the picture's plane: a knee that points
 * at the camera looks straight.
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

/** Height of the hips against that in the stance, as a share; `null` where either is not known. */
export const hipHeightAgainst = (
  { hipHeight }: Pick<BodyAngles, 'hipHeight'>,
  stance: Pick<BodyAngles, 'hipHeight'> | null,
): number | null => (hipHeight !== null && stance?.hipHeight ? hipHeight / stance.hipHeight : null);

/** One angle over some bodies: the middle one, the least and the most, of how many. */
export interface AngleOver {
  readonly median: number;
  readonly least: number;
  readonly most: number;
  readonly of: number;
}

/** Each angle over several bodies, as of the same position in several reps; of those it is known of. */
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

/** The body with one point put where somebody sees it: then it is seen there for sure. */
export const withPoint = (body: Body, name: BodyPointName, { x, y }: Point): Body => ({
  ...body,
  [name]: { x, y, seen: 1 },
});
