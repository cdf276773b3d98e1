import { medianInPlace } from '../numeric/index.js';
import { distance, HOME, sideOf, type Target } from '../floor/index.js';
import { bootstrapInterval2, type BootstrapSettings } from './bootstrap.js';
import { contains, type Interval } from './interval.js';

/** How much longer one side takes than the other. */
export interface Asymmetry {
  readonly left: { readonly n: number; readonly medianMs: number };
  readonly right: { readonly n: number; readonly medianMs: number };
  /** 100·(L − R)/mean(L, R); above 0 the left takes longer. */
  readonly percent: number;
  readonly interval: Interval | null;
  /** The interval leaves zero out. */
  readonly isDifferent: boolean;
}

/** 100·(L − R)/mean(L, R). */
export const asymmetryPercent = (left: number, right: number): number =>
  (100 * (left - right)) / ((left + right) / 2);

const FEWEST_A_SIDE = 4;

/** Asymmetry of times to the left and to the right, ms. `null` with fewer than four on a side. */
export function asymmetry(
  left: readonly number[],
  right: readonly number[],
  settings: BootstrapSettings,
): Asymmetry | null {
  if (Math.min(left.length, right.length) < FEWEST_A_SIDE) return null;
  const [leftMs, rightMs] = [left, right].map((times) => medianInPlace(Float64Array.from(times)));
  if (leftMs === undefined || rightMs === undefined) return null;
  const interval = bootstrapInterval2(
    left,
    right,
    (a, b) => asymmetryPercent(medianInPlace(a), medianInPlace(b)),
    settings,
  );
  return {
    left: { n: left.length, medianMs: leftMs },
    right: { n: right.length, medianMs: rightMs },
    percent: asymmetryPercent(leftMs, rightMs),
    interval,
    isDifferent: interval !== null && !contains(interval, 0),
  };
}

/** Ways that differ by less than this share are as long as each other. */
const SAME_WAY = 0.05;

/**
 * Letters of the targets that have a partner across the middle, as far from home and as far
 * forward: only these can be compared by side, since any other difference is distance.
 */
export function mirroredLetters(targets: readonly Target[]): {
  readonly left: readonly string[];
  readonly right: readonly string[];
} {
  const isPartner = (a: Target, b: Target) => {
    const [far, other] = [distance(HOME, a.at), distance(HOME, b.at)];
    const near = SAME_WAY * far;
    return (
      sideOf(a.at) !== null &&
      sideOf(b.at) !== null &&
      sideOf(a.at) !== sideOf(b.at) &&
      Math.abs(far - other) <= near &&
      Math.abs(a.at.y - b.at.y) <= 2 * near
    );
  };
  const paired = targets.filter((target) => targets.some((other) => isPartner(target, other)));
  const lettersOn = (side: 'left' | 'right') =>
    paired.filter(({ at }) => sideOf(at) === side).map(({ letter }) => letter);
  return { left: lettersOn('left'), right: lettersOn('right') };
}
