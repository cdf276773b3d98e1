import type { Point } from '../floor/index.js';
import { eventOf } from '../timing/index.js';
import { seenBy, whereAt, type Camera, type FilmedRep } from './simulated-film.js';
import type { BodyPointName } from './body.js';

/** A point of the simulated body: its floor position and its height, m. */
export interface FigurePoint {
  readonly over: Point;
  readonly heightM: number;
}

/** The simulated body at a moment, without any camera. */
export type Figure = Readonly<Record<BodyPointName, FigurePoint>>;

const STANCE_M = 0.44;
const LIFTED_M = 0.1;
const [HIP_M, SHOULDER_M, NOSE_M] = [0.82, 1.34, 1.56];
const [HALF_HIPS_M, HALF_SHOULDERS_M] = [0.13, 0.2];
/** Knees bend outwards and forwards. */
const KNEE_OUT_M = 0.06;
const SOLE_M = 0.12;
const ANKLE_M = 0.07;
/** Duration of half a stride, ms. */
const HALF_STRIDE_MS = 55;

/** What the athlete is doing: travelling, or raising the arm in the action. */
function doing(
  reps: readonly FilmedRep[],
  atMs: number,
): { readonly moves: boolean; readonly acts: boolean } {
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

/** The simulated body at a moment of the set, seen from behind and always facing forward. */
export function figureAt(reps: readonly FilmedRep[], atMs: number): Figure {
  const at = whereAt(reps, atMs);
  const { moves, acts } = doing(reps, atMs);
  const stride = moves ? Math.sin(atMs / HALF_STRIDE_MS) : 0;
  const point = (right: number, heightM: number, forward = 0): FigurePoint => ({
    over: { x: at.x + right, y: at.y + forward },
    heightM,
  });
  const leg = (side: -1 | 1) => {
    const liftedM = moves ? LIFTED_M * Math.max(0.3, -side * stride) : 0;
    const foot = (side * STANCE_M) / 2;
    return {
      hip: point(side * HALF_HIPS_M, HIP_M),
      knee: point((foot + side * HALF_HIPS_M) / 2 + side * KNEE_OUT_M, HIP_M / 2 + liftedM, 0.06),
      ankle: point(foot, ANKLE_M + liftedM),
      heel: point(foot, liftedM, -0.04),
      toe: point(foot + 0.03 * side, liftedM, SOLE_M),
    };
  };
  const [left, right] = [leg(-1), leg(1)];
  const shoulder = (side: -1 | 1) => point(side * HALF_SHOULDERS_M, SHOULDER_M);
  return {
    nose: point(0, NOSE_M, 0.1),
    ...{ leftShoulder: shoulder(-1), rightShoulder: shoulder(1) },
    ...{ leftElbow: point(-0.33, 1.1), leftWrist: point(-0.3, 0.9, 0.15) },
    rightElbow: acts ? point(0.42, 1.45) : point(0.33, 1.1),
    rightWrist: acts ? point(0.5, 1.7) : point(0.36, 0.9, 0.15),
    ...{ leftHip: left.hip, leftKnee: left.knee, leftAnkle: left.ankle },
    ...{ leftHeel: left.heel, leftToe: left.toe },
    ...{ rightHip: right.hip, rightKnee: right.knee, rightAnkle: right.ankle },
    ...{ rightHeel: right.heel, rightToe: right.toe },
  };
}

/** Projects a body point: shares of the picture's width from its centre, right and down. */
export const figureSeenBy = (camera: Camera, { over, heightM }: FigurePoint): Point =>
  seenBy(camera, over, heightM);
