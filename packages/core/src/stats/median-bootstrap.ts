import { betaCdf, logGamma, normalCdf, normalQuantile } from '../numeric/index.js';
import { LEVEL, type Interval } from './interval.js';

/**
 * What the median of a sample would be if the sample were drawn from again and again, with the
 * chance of each value: exactly, without drawing (Hutson & Ernst 2000).
 */
export interface MedianBootstrap {
  readonly median: number;
  /** Possible values of the median, ascending, and the probability of at most each. */
  readonly values: Float64Array;
  readonly upTo: Float64Array;
  /** BCa's bias correction and acceleration (Efron 1987). */
  readonly z0: number;
  readonly acceleration: number;
}

/** Less likely values would not change any shown digit. */
const NEGLIGIBLE = 1e-13;

interface Chance {
  readonly value: number;
  readonly chance: number;
}

/** A rank among n sorted values, from 1, and the probability that it is the k-th lowest of n draws. */
interface RankChance {
  readonly rank: number;
  readonly chance: number;
}

/** Ranks that the k-th lowest of n draws can plausibly be. */
function ranksOf(k: number, n: number): RankChance[] {
  // P(at least k of n draws are among the lowest `rank` values).
  const upTo = (rank: number) => betaCdf(rank / n, k, n - k + 1);
  let first = k;
  while (first > 1 && upTo(first - 1) > NEGLIGIBLE) first--;
  const ranks: RankChance[] = [];
  let below = first > 1 ? upTo(first - 1) : 0;
  for (let rank = first; rank <= n && 1 - below > NEGLIGIBLE; rank++) {
    const own = upTo(rank);
    ranks.push({ rank, chance: own - below });
    below = own;
  }
  return ranks;
}

/** For an odd number of values the median is one of them. */
const oddChances = (sorted: Float64Array): Chance[] =>
  ranksOf((sorted.length + 1) / 2, sorted.length).map(({ rank, chance }) => ({
    value: sorted[rank - 1] as number,
    chance,
  }));

/** For an even number it is the mean of the draw's two middle values. */
function evenChances(sorted: Float64Array): Chance[] {
  const n = sorted.length;
  const m = n / 2;
  const logWays = logGamma(n + 1) - 2 * logGamma(m + 1);
  const logs = Float64Array.from({ length: n + 1 }, (_, rank) => m * Math.log(rank / n));
  /** C(n, m)·(lower/n)^m·(upper/n)^m, though each factor alone may be too large or too small. */
  const term = (lower: number, upper: number): number =>
    Math.exp(logWays + (logs[lower] as number) + (logs[upper] as number));
  const chances: Chance[] = [];
  for (const { rank: i, chance: isLower } of ranksOf(m, n)) {
    const low = sorted[i - 1] as number;
    // P(lower middle value is the i-th, upper one above the j-th), which only falls with j.
    let above = term(i, n - i) - term(i - 1, n - i);
    chances.push({ value: low, chance: isLower - above });
    for (let j = i + 1; j <= n && above > NEGLIGIBLE; j++) {
      const further = term(i, n - j) - term(i - 1, n - j);
      chances.push({ value: (low + (sorted[j - 1] as number)) / 2, chance: above - further });
      above = further;
    }
  }
  return chances;
}

/** The medians of sorted values with each one left out, with their multiplicities. */
function leavingOneOut(
  sorted: Float64Array,
): readonly (readonly [median: number, times: number])[] {
  const n = sorted.length;
  const h = Math.floor(n / 2);
  const at = (i: number) => sorted[i] as number;
  return n % 2 === 0
    ? [
        [at(h), h],
        [at(h - 1), h],
      ]
    : [
        [(at(h) + at(h + 1)) / 2, h],
        [(at(h - 1) + at(h + 1)) / 2, 1],
        [(at(h - 1) + at(h)) / 2, h],
      ];
}

/** Jackknife influences, with their multiplicities. */
export type Pulls = readonly (readonly [pull: number, times: number])[];

/** The jackknife influences of a sample's values on a figure of its median. */
export function pullsOn(sample: readonly number[], figure: (median: number) => number): Pulls {
  const n = sample.length;
  const without = leavingOneOut(Float64Array.from(sample).sort()).map(
    ([median, times]) => [figure(median), times] as const,
  );
  const centre = without.reduce((sum, [value, times]) => sum + (value * times) / n, 0);
  return without.map(([value, times]) => [((n - 1) * (centre - value)) / n, times] as const);
}

/** Efron's acceleration (1987), the skewness of the influences. */
export function accelerationOf(pulls: Pulls): number {
  let [squares, cubes] = [0, 0];
  for (const [pull, times] of pulls) {
    squares += times * pull ** 2;
    cubes += times * pull ** 3;
  }
  return squares > 0 ? cubes / (6 * squares ** 1.5) : 0;
}

/**
 * The places of values in ascending order. Numbers alone are sorted five times as fast as by a
 * comparison, so each carries its place in its last bits; values that are alike to eleven digits may
 * change places, which moves nothing.
 */
function ascending(chances: readonly Chance[]): Uint32Array {
  const n = chances.length;
  const keys = new Float64Array(n);
  const words = new Uint32Array(keys.buffer);
  const bits = 2 ** Math.ceil(Math.log2(n + 1)) - 1;
  for (let i = 0; i < n; i++) {
    keys[i] = (chances[i] as Chance).value;
    words[2 * i] = ((words[2 * i] as number) & ~bits) | i;
  }
  keys.sort();
  const places = new Uint32Array(n);
  for (let i = 0; i < n; i++) places[i] = (words[2 * i] as number) & bits;
  return places;
}

const FEWEST = 3;

/** The distribution of the median of values in any unit; `null` with fewer than three of them. */
export function medianBootstrap(sample: readonly number[]): MedianBootstrap | null {
  const n = sample.length;
  if (n < FEWEST) return null;
  const sorted = Float64Array.from(sample).sort();
  const median =
    ((sorted[Math.floor((n - 1) / 2)] ?? NaN) + (sorted[Math.floor(n / 2)] ?? NaN)) / 2;
  const chances = n % 2 === 1 ? oddChances(sorted) : evenChances(sorted);
  const values = new Float64Array(chances.length);
  const upTo = new Float64Array(chances.length);
  let [sum, less, equal, last] = [0, 0, 0, -1];
  const places = ascending(chances);
  for (let i = 0; i < places.length; i++) {
    const { value, chance } = chances[places[i] as number] as Chance;
    if (last < 0 || value !== values[last]) last++;
    values[last] = value;
    upTo[last] = sum += chance;
    if (value < median) less += chance;
    else if (value === median) equal += chance;
  }
  return {
    ...{ median, values: values.subarray(0, last + 1), upTo: upTo.subarray(0, last + 1) },
    z0: normalQuantile(less + equal / 2),
    acceleration: accelerationOf(pullsOn(sample, (each) => each)),
  };
}

/** The smallest value with at least this cumulative probability. */
export function bootstrapQuantile({ values, upTo }: MedianBootstrap, chance: number): number {
  let [low, high] = [0, upTo.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((upTo[middle] as number) < chance) low = middle + 1;
    else high = middle;
  }
  return values[low] as number;
}

/** Mean and standard deviation of the distribution. */
export function bootstrapMoments({ values, upTo }: MedianBootstrap): {
  readonly mean: number;
  readonly sd: number;
} {
  const chanceOf = (i: number) => (upTo[i] as number) - (i > 0 ? (upTo[i - 1] as number) : 0);
  const mean = values.reduce((sum, value, i) => sum + value * chanceOf(i), 0);
  const variance = values.reduce((sum, value, i) => sum + (value - mean) ** 2 * chanceOf(i), 0);
  return { mean, sd: Math.sqrt(variance) };
}

/** The cumulative probabilities at which a BCa interval ends (Efron 1987). */
export function bcaChances(
  z0: number,
  acceleration: number,
  level = LEVEL,
): readonly [number, number] {
  const at = (p: number) => {
    const z = z0 + normalQuantile(p);
    return normalCdf(z0 + z / (1 - acceleration * z));
  };
  return [at((1 - level) / 2), at((1 + level) / 2)];
}

/**
 * Interval of a median (BCa), the same for everyone who asks: nothing is drawn. `null` with fewer
 * than three values.
 *
 * @example
 * medianInterval([210, 225, 231, 240, 262]); // { low: 210, high: 262 }
 */
export function medianInterval(sample: readonly number[], level = LEVEL): Interval | null {
  const boot = medianBootstrap(sample);
  if (!boot) return null;
  const [low, high] = bcaChances(boot.z0, boot.acceleration, level);
  return { low: bootstrapQuantile(boot, low), high: bootstrapQuantile(boot, high) };
}
