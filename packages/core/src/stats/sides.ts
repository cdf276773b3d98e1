import { distance, HOME, sideOf, type Target } from '../floor/index.js';
import { median, normalQuantile } from '../numeric/index.js';
import { contains, type Interval } from './interval.js';
import {
  accelerationOf,
  bcaChances,
  medianBootstrap,
  pullsOn,
  type MedianBootstrap,
} from './median-bootstrap.js';

/** How much longer one side takes than the other. */
export interface Asymmetry {
  readonly left: { readonly n: number; readonly medianMs: number };
  readonly right: { readonly n: number; readonly medianMs: number };
  /** 100·(L − R)/mean(L, R); positive if the left takes longer. */
  readonly percent: number;
  readonly interval: Interval | null;
  /** Whether the interval excludes zero. */
  readonly isDifferent: boolean;
}

/**
 * 100·(L − R)/mean(L, R).
 *
 * @example
 * asymmetryPercent(1100, 900); // 20
 */
export const asymmetryPercent = (left: number, right: number): number =>
  (100 * (left - right)) / ((left + right) / 2);

const FEWEST_A_SIDE = 4;

/** The bootstrap probability that the asymmetry is at most `percent`, or less than it. */
function chanceUpTo(
  left: MedianBootstrap,
  right: MedianBootstrap,
  percent: number,
  isStrict = false,
): number {
  // The asymmetry is at most v percent if R ≥ L·(200 − v)/(200 + v).
  const scale = (200 - percent) / (200 + percent);
  let [chance, r] = [0, 0];
  const rUnder = () => (r > 0 ? (right.upTo[r - 1] as number) : 0);
  for (let l = 0; l < left.values.length; l++) {
    const own = (left.upTo[l] as number) - (l > 0 ? (left.upTo[l - 1] as number) : 0);
    const from = (left.values[l] as number) * scale;
    while (
      r < right.values.length &&
      ((right.values[r] as number) < from || (isStrict && (right.values[r] as number) === from))
    )
      r++;
    chance += own * (1 - rUnder());
  }
  return chance;
}

/** Bisections that reduce 400 percent to less than a millionth of one. */
const HALVINGS = 30;

/** BCa interval of the asymmetry of medians, from the exact bootstrap distributions of both medians. */
function asymmetryInterval(left: readonly number[], right: readonly number[]): Interval | null {
  const [l, r] = [medianBootstrap(left), medianBootstrap(right)];
  if (!l || !r) return null;
  const observed = asymmetryPercent(l.median, r.median);
  const z0 = normalQuantile((chanceUpTo(l, r, observed, true) + chanceUpTo(l, r, observed)) / 2);
  const acceleration = accelerationOf([
    ...pullsOn(left, (median) => asymmetryPercent(median, r.median)),
    ...pullsOn(right, (median) => asymmetryPercent(l.median, median)),
  ]);
  const at = (chance: number): number => {
    let [low, high] = [
      asymmetryPercent(l.values[0] ?? NaN, r.values.at(-1) ?? NaN),
      asymmetryPercent(l.values.at(-1) ?? NaN, r.values[0] ?? NaN),
    ];
    for (let i = 0; i < HALVINGS; i++) {
      const middle = (low + high) / 2;
      if (chanceUpTo(l, r, middle) < chance) low = middle;
      else high = middle;
    }
    return high;
  };
  const [low, high] = bcaChances(z0, acceleration);
  return { low: at(low), high: at(high) };
}

/**
 * Asymmetry of times to the left and to the right, ms, from single reps of one day or few. `null`
 * with fewer than four on a side.
 */
export function asymmetry(left: readonly number[], right: readonly number[]): Asymmetry | null {
  if (Math.min(left.length, right.length) < FEWEST_A_SIDE) return null;
  const [leftMs, rightMs] = [median(left), median(right)];
  const interval = asymmetryInterval(left, right);
  return {
    left: { n: left.length, medianMs: leftMs },
    right: { n: right.length, medianMs: rightMs },
    percent: asymmetryPercent(leftMs, rightMs),
    interval,
    isDifferent: interval !== null && !contains(interval, 0),
  };
}

/** Distances that differ by less than this share count as equal. */
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
