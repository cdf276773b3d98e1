import { distance, headed, offset, type Point } from '@orthokin/core/floor';
import type { Placement } from '@orthokin/core/pattern';

/** A number stands this far from the middle of its sole, metres. */
const AWAY_M = 0.21;
/** Where round its foot a number may stand, degrees from the outer side towards the toe. */
const TURNS_DEG = [0, -50, 50, 180, -90, 90, -130, 130];
/** Farther away from everything than this is as good as free, metres. */
const FREE_M = 0.24;

/**
 * Where each step's number is drawn: on the outer side of its foot, or wherever round the foot it
 * stands clear of the other soles and of the numbers before it.
 */
export function stepNumberPlaces(placements: readonly Placement[]): Point[] {
  const numbers: Point[] = [];
  for (const [index, { at, headingDeg, foot }] of placements.entries()) {
    const outer = foot === 'left' ? -90 : 90;
    const inTheWay = [
      ...placements.filter((_, i) => i !== index).map((other) => other.at),
      ...numbers,
    ];
    let best: { place: Point; clear: number } | null = null;
    for (const turnDeg of TURNS_DEG) {
      const place = offset(at, headed(headingDeg + outer + Math.sign(outer) * turnDeg), AWAY_M);
      const clear = Math.min(FREE_M, ...inTheWay.map((other) => distance(other, place)));
      if (!best || clear > best.clear + 0.01) best = { place, clear };
    }
    numbers.push(best?.place ?? at);
  }
  return numbers;
}
