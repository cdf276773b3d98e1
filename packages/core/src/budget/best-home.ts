import { distance, type Point, type Target } from '../floor/index.js';
import { ownFeasibility, type OwnSpeed } from './own-speed.js';
import { targetBudget, type Rally } from './rally.js';

/** Where to wait so that the target one is latest at is reached least late. */
export interface BestHome {
  readonly at: Point;
  /** What is to spare at the tightest target, ms: from there, and from where the athlete waits now. */
  readonly spareMs: number;
  readonly nowSpareMs: number;
}

const CELLS = 6;
const ZOOMS = 6;
const ZOOM = 0.35;
/** A base is marked to this, m. */
const MARKED_TO_M = 0.1;

/**
 * The place to wait with the least worst lateness over some targets, by an athlete's own line; `null`
 * where a target has no flight. The worst lateness has one valley (places that reach a target in time
 * fill a disc, and what lies in all discs is convex), so a grid that closes in on its lowest point finds it.
 */
export function bestHome(
  targets: readonly Pick<Target, 'letter' | 'name' | 'at'>[],
  rally: Rally,
  own: OwnSpeed,
): BestHome | null {
  const budgets = targets.map((target) => targetBudget(target, rally, own));
  if (budgets.length === 0 || budgets.some(({ feasible }) => feasible === null)) return null;
  const spareFrom = (waitsAt: Point): number =>
    Math.min(
      ...budgets.map(({ at, flight }) =>
        flight.ok
          ? ownFeasibility(own, 1000 * flight.value.timeS, distance(waitsAt, at)).spareMs
          : -Infinity,
      ),
    );
  const xs = budgets.map(({ at }) => at.x);
  const ys = budgets.map(({ at }) => at.y);
  let middle = {
    x: (Math.min(...xs) + Math.max(...xs)) / 2,
    y: (Math.min(...ys) + Math.max(...ys)) / 2,
  };
  let half = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys), 1) / 2;
  for (let zoom = 0; zoom < ZOOMS; zoom++) {
    const { x, y } = middle;
    for (let i = -CELLS; i <= CELLS; i++)
      for (let j = -CELLS; j <= CELLS; j++) {
        const at = { x: x + (half * i) / CELLS, y: y + (half * j) / CELLS };
        if (spareFrom(at) > spareFrom(middle)) middle = at;
      }
    half *= ZOOM;
  }
  const settled = (metres: number) => MARKED_TO_M * Math.round(metres / MARKED_TO_M);
  const at = { x: settled(middle.x), y: settled(middle.y) };
  return {
    ...{ at, spareMs: spareFrom(at) },
    nowSpareMs: Math.min(...budgets.map(({ feasible }) => feasible?.spareMs ?? -Infinity)),
  };
}
