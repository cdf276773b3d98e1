import { seenBy, USUAL_CAMERA, whereAt, type FilmedRep, type SetToFilm } from '@orthokin/core/film';
import type { Point } from '@orthokin/core/floor';
import { eventOf } from '@orthokin/core/timing';
import { MARKER_FILLS } from '../../parts/tokens.js';

export const [FILM_WIDTH, FILM_HEIGHT] = [640, 360];

const STANCE_M = 0.44;
const LIFTED_M = 0.1;
const [HIP_M, SHOULDER_M, HEAD_M] = [0.85, 1.35, 1.62];
/** Of the made-up room: floor, wall, lines, figure. Never seen as part of the app. */
const ROOM = { wall: 'gainsboro', floor: 'burlywood', line: 'sienna', figure: 'midnightblue' };

type Context = OffscreenCanvasRenderingContext2D;

const toPixels = ({ x, y }: Point): Point => ({
  x: FILM_WIDTH * (0.5 + x),
  y: FILM_HEIGHT / 2 + FILM_WIDTH * y,
});

const seen = (place: Point, heightM = 0): Point => toPixels(seenBy(USUAL_CAMERA, place, heightM));

function line(context: Context, from: Point, to: Point, width: number): void {
  context.lineWidth = width;
  context.beginPath();
  context.moveTo(from.x, from.y);
  context.lineTo(to.x, to.y);
  context.stroke();
}

/** What the athlete does at a moment: under way, or with the arm up in the action. */
function doing(reps: readonly FilmedRep[], atMs: number): { moves: boolean; acts: boolean } {
  const within = (
    from: 'firstMove' | 'departure' | 'action',
    to: 'arrival' | 'home' | 'departure',
  ) =>
    reps.some(({ events }) => {
      const [start, end] = [eventOf(events, from)?.atMs, eventOf(events, to)?.atMs];
      return start !== undefined && end !== undefined && atMs >= start && atMs < end;
    });
  return {
    moves: within('firstMove', 'arrival') || within('departure', 'home'),
    acts: within('action', 'departure'),
  };
}

/** One frame of the simulated athlete on film, at a moment of the set. */
export function drawFrame(
  context: Context,
  { targets }: Pick<SetToFilm, 'targets'>,
  reps: readonly FilmedRep[],
  atMs: number,
): void {
  context.fillStyle = ROOM.wall;
  context.fillRect(0, 0, FILM_WIDTH, FILM_HEIGHT);
  const horizon = seen({ x: 0, y: 5.5 }).y;
  context.fillStyle = ROOM.floor;
  context.fillRect(0, horizon, FILM_WIDTH, FILM_HEIGHT - horizon);
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
  const at = whereAt(reps, atMs);
  const { moves, acts } = doing(reps, atMs);
  const stride = moves ? Math.sin(atMs / 55) : 0;
  const foot = (side: -1 | 1, lifted: number) =>
    seen({ x: at.x + (side * STANCE_M) / 2, y: at.y }, lifted);
  const left = foot(-1, moves ? LIFTED_M * Math.max(0.3, stride) : 0);
  const right = foot(1, moves ? LIFTED_M * Math.max(0.3, -stride) : 0);
  const [hip, shoulder, head] = [HIP_M, SHOULDER_M, HEAD_M].map((height) => seen(at, height)) as [
    Point,
    Point,
    Point,
  ];
  context.strokeStyle = ROOM.figure;
  context.fillStyle = ROOM.figure;
  context.lineCap = 'round';
  for (const end of [left, right]) line(context, hip, end, 7);
  line(context, hip, shoulder, 10);
  const hand = seen({ x: at.x + 0.5, y: at.y }, acts ? 1.75 : 0.95);
  line(context, shoulder, hand, 5);
  context.beginPath();
  context.arc(head.x, head.y, 9, 0, 2 * Math.PI);
  context.fill();
}
