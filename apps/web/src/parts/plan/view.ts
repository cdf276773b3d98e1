import { courtOf, courtOnFloor, type Point } from '@orthokin/core/floor';
import type { Pattern } from '@orthokin/core/pattern';

/** The part of a pattern the bare floor is drawn from. */
export type FloorOf = Pick<Pattern, 'court' | 'sizeM' | 'home' | 'targets'>;

/** A window on the floor in an SVG's coordinates: metres, y down. */
export interface View {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export const viewBox = ({ x, y, width, height }: View): string => `${x} ${y} ${width} ${height}`;

const MARGIN_M = 0.9;

const between = (left: number, right: number, back: number, front: number): View => ({
  x: left,
  y: -front,
  width: right - left,
  height: front - back,
});

/** The relevant part of the floor: home and targets with a margin, within the court. */
export function viewOfTargets({ court, sizeM, home, targets }: FloorOf): View {
  const { backLeft, frontRight } = courtOnFloor(courtOf(court, sizeM), home.onCourt);
  const xs = [0, ...targets.map(({ at }) => at.x)];
  const ys = [0, ...targets.map(({ at }) => at.y)];
  return between(
    Math.max(Math.min(backLeft.x, Math.min(...xs) - 0.3), Math.min(...xs) - MARGIN_M),
    Math.min(Math.max(frontRight.x, Math.max(...xs) + 0.3), Math.max(...xs) + MARGIN_M),
    Math.max(Math.min(backLeft.y, Math.min(...ys) - 0.3), Math.min(...ys) - MARGIN_M - 0.3),
    Math.min(Math.max(frontRight.y, Math.max(...ys) + 0.3), Math.max(...ys) + MARGIN_M),
  );
}

const LEG_MARGIN_M = 0.75;

/** With a smaller view the feet of a short leg would fill the drawing, m. */
const LEAST_ACROSS_M = 4;
const LEAST_ALONG_M = 3;

/** A close view of home base and one place. */
export function viewOfLeg({ x, y }: Point): View {
  const across = Math.max(LEAST_ACROSS_M, Math.abs(x) + 2 * LEG_MARGIN_M) / 2;
  const along = Math.max(LEAST_ALONG_M, Math.abs(y) + 2 * LEG_MARGIN_M) / 2;
  return between(x / 2 - across, x / 2 + across, y / 2 - along, y / 2 + along);
}

const EDGE_M = 0.4;

/** A view of the whole court and everything outside it. */
export function viewOfCourt({ court, sizeM, home, targets }: FloorOf): View {
  const { backLeft, frontRight } = courtOnFloor(courtOf(court, sizeM), home.onCourt);
  const points: Point[] = [backLeft, frontRight, { x: 0, y: 0 }, ...targets.map(({ at }) => at)];
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  return between(
    Math.min(...xs) - EDGE_M,
    Math.max(...xs) + EDGE_M,
    Math.min(...ys) - EDGE_M,
    Math.max(...ys) + EDGE_M,
  );
}
