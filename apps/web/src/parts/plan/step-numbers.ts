import { headed, offset, type Point } from '@orthokin/core/floor';
import type { Placement } from '@orthokin/core/pattern';

/** Distance of a number from the centre of its sole, m. */
const AWAY_M = 0.21;
/** Candidate directions of a number from its foot, degrees from the outer side towards the toe. */
const TURNS_DEG = [0, -50, 50, 180, -90, 90, -130, 130];
/** A larger clearance is no better, m. */
const FREE_M = 0.24;

/** Squared distance to the nearest of some places; cheaper than the distance, and equivalent for comparing. */
function clearance2({ x, y }: Point, places: readonly Point[]): number {
  let nearest2 = FREE_M ** 2;
  for (const place of places)
    nearest2 = Math.min(nearest2, (place.x - x) ** 2 + (place.y - y) ** 2);
  return nearest2;
}

/**
 * Where to draw each step's number: at the outer side of its foot, or wherever around it the number is clear of other
 * soles and numbers.
 */
export function stepNumberPlaces(placements: readonly Placement[]): Point[] {
  const numbers: Point[] = [];
  for (const [index, { at, headingDeg, foot }] of placements.entries()) {
    const outer = foot === 'left' ? -90 : 90;
    const near = (other: Point) =>
      Math.abs(other.x - at.x) < AWAY_M + FREE_M && Math.abs(other.y - at.y) < AWAY_M + FREE_M;
    const soles = placements.flatMap((other, i) =>
      i !== index && near(other.at) ? [other.at] : [],
    );
    const inTheWay = [...soles, ...numbers.filter(near)];
    let best: { place: Point; clear2: number } | null = null;
    for (const turnDeg of TURNS_DEG) {
      const place = offset(at, headed(headingDeg + outer + Math.sign(outer) * turnDeg), AWAY_M);
      const clear2 = clearance2(place, inTheWay);
      if (!best || clear2 > best.clear2 * 1.1) best = { place, clear2 };
      if (clear2 >= FREE_M ** 2) break;
    }
    numbers.push(best?.place ?? at);
  }
  return numbers;
}
