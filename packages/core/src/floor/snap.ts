import type { Point } from './point.js';

const GRID_M = 0.05;
/** Distance within which a place snaps to a line, m. */
const ALIGN_M = 0.08;

function snapCoordinate(value: number, lines: readonly number[]): number {
  const [nearest] = [...lines].sort((a, b) => Math.abs(a - value) - Math.abs(b - value));
  if (nearest !== undefined && Math.abs(nearest - value) <= ALIGN_M) return nearest;
  return Math.round(Math.round(value / GRID_M) * GRID_M * 1000) / 1000;
}

/** Lines to snap to, in floor coordinates, m. */
export interface SnapLines {
  readonly across: readonly number[];
  readonly along: readonly number[];
}

/**
 * The place that a dragged marker falls into: in line with home base, another marker or a court line
 * where it is nearly so, else on a grid of 5 cm.
 */
export const snapped = (
  { x, y }: Point,
  others: readonly Point[],
  lines: SnapLines = { across: [], along: [] },
): Point => ({
  x: snapCoordinate(x, [0, ...others.flatMap((other) => [other.x, 0 - other.x]), ...lines.along]),
  y: snapCoordinate(y, [0, ...others.map((other) => other.y), ...lines.across]),
});
