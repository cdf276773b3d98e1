import {
  courtOf,
  courtOnFloor,
  distance,
  HOME,
  minus,
  type Point,
  type Side,
  type Target,
} from '../floor/index.js';
import type { Pattern } from './pattern.js';

type OnFloor = Pick<Pattern, 'court' | 'sizeM' | 'home' | 'targets'>;

/** A point on the floor that anybody can find. */
export interface Landmark {
  readonly name: string;
  readonly at: Point;
}

/** The court's corners and the middles of its back and front edge, in floor coordinates. */
export function landmarksOf({ court, sizeM, home }: OnFloor): Landmark[] {
  const { backLeft, frontRight } = courtOnFloor(courtOf(court, sizeM), home.onCourt);
  const middle = (backLeft.x + frontRight.x) / 2;
  return [
    { name: 'back left corner', at: backLeft },
    { name: 'middle of the back edge', at: { x: middle, y: backLeft.y } },
    { name: 'back right corner', at: { x: frontRight.x, y: backLeft.y } },
    { name: 'front left corner', at: { x: backLeft.x, y: frontRight.y } },
    { name: 'middle of the front edge', at: { x: middle, y: frontRight.y } },
    { name: 'front right corner', at: frontRight },
  ];
}

/** Sine of the angle between two tapes at a marker: at 1 they fix it best, at 0 not at all. */
function crossing({ at }: Target, second: Point): number {
  const [a, b] = [minus(HOME, at), minus(second, at)];
  const lengths = Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y);
  return lengths === 0 ? 0 : Math.abs(a.x * b.y - a.y * b.x) / lengths;
}

/** The landmark from which the worst-fixed marker is fixed best. */
export function bestLandmark(pattern: OnFloor): Landmark {
  const worst = ({ at }: Landmark) =>
    Math.min(...pattern.targets.map((target) => crossing(target, at)));
  return landmarksOf(pattern).reduce((best, next) =>
    worst(next) > worst(best) + 1e-9 ? next : best,
  );
}

/** How to place a marker with two tapes: where their lengths meet, on the named side. */
export interface TapeMark {
  readonly target: Target;
  readonly fromHomeM: number;
  readonly fromSecondM: number;
  /** Side of the line from home base to the second landmark; `null` on the line. */
  readonly side: Side | null;
  /** Distance to the nearest court edge, negative outside the court. */
  readonly clearanceM: number;
}

const ON_LINE_M = 0.02;

/** The two tape lengths for each target, from home base and from a second landmark, m. */
export function tapeMarks(pattern: OnFloor, second: Landmark): TapeMark[] {
  const { backLeft, frontRight } = courtOnFloor(
    courtOf(pattern.court, pattern.sizeM),
    pattern.home.onCourt,
  );
  const reach = distance(HOME, second.at);
  return pattern.targets.map((target) => {
    const { at } = target;
    const toRight = (at.x * second.at.y - at.y * second.at.x) / reach;
    return {
      target,
      fromHomeM: distance(HOME, at),
      fromSecondM: distance(second.at, at),
      side: Math.abs(toRight) < ON_LINE_M ? null : toRight > 0 ? 'right' : 'left',
      clearanceM: Math.min(
        at.x - backLeft.x,
        frontRight.x - at.x,
        at.y - backLeft.y,
        frontRight.y - at.y,
      ),
    };
  });
}
