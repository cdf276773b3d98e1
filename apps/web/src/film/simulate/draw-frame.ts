import {
  figureAt,
  figureSeenBy,
  seenBy,
  type BodyPointName,
  type Camera,
  type Figure,
  type FilmedRep,
  type SetToFilm,
} from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { MARKER_FILLS } from '../../parts/tokens.js';

export const [FILM_WIDTH, FILM_HEIGHT] = [640, 360];

/** Colours of the simulated hall, which are not part of the app's palette. */
const ROOM = { wall: 'gainsboro', floor: 'burlywood', line: 'sienna' };
const FIGURE = {
  ...{ skin: 'rgb(176, 112, 78)', hair: 'rgb(44, 30, 24)', shirt: 'rgb(28, 42, 110)' },
  ...{ shorts: 'rgb(30, 32, 40)', shoe: 'whitesmoke' },
};

type Context = OffscreenCanvasRenderingContext2D;

const toPixels = ({ x, y }: Point): Point => ({
  x: FILM_WIDTH * (0.5 + x),
  y: FILM_HEIGHT / 2 + FILM_WIDTH * y,
});

function line(context: Context, from: Point, to: Point, width: number): void {
  context.lineWidth = width;
  context.beginPath();
  context.moveTo(from.x, from.y);
  context.lineTo(to.x, to.y);
  context.stroke();
}

function area(context: Context, corners: readonly Point[]): void {
  context.beginPath();
  for (const { x, y } of corners) context.lineTo(x, y);
  context.closePath();
  context.fill();
  context.stroke();
}

const along = (a: Point, b: Point, share: number): Point => ({
  x: a.x + share * (b.x - a.x),
  y: a.y + share * (b.y - a.y),
});

/** Draws the athlete from behind. */
function drawFigure(context: Context, figure: Figure, camera: Camera): void {
  const at = (name: BodyPointName): Point => toPixels(figureSeenBy(camera, figure[name]));
  const sides = ['left', 'right'] as const;
  const [leftShoulder, rightShoulder] = [at('leftShoulder'), at('rightShoulder')];
  const [leftHip, rightHip] = [at('leftHip'), at('rightHip')];
  /** Film pixels per metre at the athlete. */
  const metre =
    (rightShoulder.x - leftShoulder.x) / (figure.rightShoulder.over.x - figure.leftShoulder.over.x);
  context.lineCap = 'round';
  context.lineJoin = 'round';
  for (const side of sides) {
    context.strokeStyle = FIGURE.skin;
    line(context, at(`${side}Knee`), at(`${side}Ankle`), 0.12 * metre);
    line(context, at(`${side}Hip`), at(`${side}Knee`), 0.15 * metre);
    context.strokeStyle = FIGURE.shoe;
    line(context, at(`${side}Heel`), at(`${side}Toe`), 0.12 * metre);
    context.strokeStyle = FIGURE.shorts;
    line(context, at(`${side}Hip`), along(at(`${side}Hip`), at(`${side}Knee`), 0.6), 0.19 * metre);
  }
  context.fillStyle = context.strokeStyle = FIGURE.shorts;
  context.lineWidth = 0.14 * metre;
  area(context, [
    leftHip,
    rightHip,
    along(rightHip, rightShoulder, 0.1),
    along(leftHip, leftShoulder, 0.1),
  ]);
  context.fillStyle = context.strokeStyle = FIGURE.shirt;
  area(context, [
    leftShoulder,
    rightShoulder,
    along(rightHip, rightShoulder, 0.2),
    along(leftHip, leftShoulder, 0.2),
  ]);
  for (const side of sides) {
    const [shoulder, elbow, wrist] = [
      at(`${side}Shoulder`),
      at(`${side}Elbow`),
      at(`${side}Wrist`),
    ];
    context.strokeStyle = FIGURE.skin;
    line(context, shoulder, elbow, 0.09 * metre);
    line(context, elbow, wrist, 0.08 * metre);
    context.strokeStyle = FIGURE.shirt;
    line(context, shoulder, along(shoulder, elbow, 0.5), 0.13 * metre);
  }
  const nose = at('nose');
  const neck = along(leftShoulder, rightShoulder, 0.5);
  context.strokeStyle = FIGURE.skin;
  line(context, neck, nose, 0.11 * metre);
  context.fillStyle = FIGURE.hair;
  context.beginPath();
  context.ellipse(nose.x, nose.y - 0.03 * metre, 0.095 * metre, 0.125 * metre, 0, 0, 2 * Math.PI);
  context.fill();
}

/** A camera's position, and the picture's shift since the camera was set up, px. */
export interface Look {
  readonly from: Camera;
  readonly asidePx: Point;
}

/** Draws the frame of a moment in the set. */
export function drawFrame(
  context: Context,
  { targets }: Pick<SetToFilm, 'targets'>,
  reps: readonly FilmedRep[],
  atMs: number,
  { from, asidePx }: Look,
): void {
  const seen = (place: Point): Point => toPixels(seenBy(from, place));
  context.fillStyle = ROOM.wall;
  context.fillRect(0, 0, FILM_WIDTH, FILM_HEIGHT);
  context.setTransform(1, 0, 0, 1, asidePx.x, asidePx.y);
  const horizon = seen({ x: 0, y: 5.5 }).y;
  context.fillStyle = ROOM.floor;
  // Wider than the picture, because a shifted camera sees beyond its edges.
  context.fillRect(-FILM_WIDTH, horizon, 3 * FILM_WIDTH, 2 * FILM_HEIGHT);
  context.strokeStyle = ROOM.line;
  line(context, seen({ x: -3.2, y: 0 }), seen({ x: 3.2, y: 0 }), 2);
  line(context, seen({ x: 0, y: 0 }), seen({ x: 0, y: -4 }), 2);
  for (const { at, colour } of targets) {
    const { x, y } = seen(at);
    context.fillStyle = MARKER_FILLS[colour][0];
    context.strokeStyle = 'black';
    context.lineWidth = 1;
    context.beginPath();
    context.ellipse(x, y, 9, 4, 0, 0, 2 * Math.PI);
    context.fill();
    context.stroke();
  }
  drawFigure(context, figureAt(reps, atMs), from);
  context.resetTransform();
}
