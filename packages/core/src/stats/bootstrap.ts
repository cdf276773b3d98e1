import type { Random } from '../cue/index.js';
import { normalCdf, normalQuantile } from '../numeric/index.js';
import { LEVEL, type Interval } from './interval.js';

/** A figure of a sample; it may put the values into another order. */
export type Statistic = (values: Float64Array) => number;

export interface BootstrapSettings {
  readonly resamples: number;
  readonly random: Random;
  readonly level?: number;
  /** Told the share that is done, 0–1, now and then. */
  readonly progress?: (share: number) => void;
}

export const USUAL_RESAMPLES = 2000;
/** Leaving out one value at a time is dear in large samples; so many groups tell the skew as well. */
const MOST_GROUPS = 400;
const PROGRESS_EVERY = 250;

function resample(from: Float64Array, into: Float64Array, random: Random): Float64Array {
  const n = from.length;
  for (let i = 0; i < n; i++) into[i] = from[(random() * n) | 0] as number;
  return into;
}

/** How much each value (or each group of a large sample) pulls the figure: the jackknife's influences. */
function influences(values: Float64Array, statistic: Statistic): number[] {
  const groups = Math.min(values.length, MOST_GROUPS);
  const without = Array.from({ length: groups }, (_, group) =>
    statistic(values.filter((__, i) => i % groups !== group)),
  );
  const centre = without.reduce((sum, each) => sum + each, 0) / groups;
  return without.map((each) => (groups - 1) * (centre - each));
}

function acceleration(pulls: readonly number[]): number {
  let [squares, cubes] = [0, 0];
  for (const pull of pulls) {
    squares += pull ** 2;
    cubes += pull ** 3;
  }
  return squares === 0 ? 0 : cubes / (6 * squares ** 1.5);
}

/** The bias-corrected, accelerated interval of sorted resampled figures (Efron 1987). */
function bca(sorted: Float64Array, observed: number, a: number, level: number): Interval {
  const n = sorted.length;
  let [below, equal] = [0, 0];
  for (const each of sorted) {
    if (each < observed) below++;
    else if (each === observed) equal++;
  }
  // Figures of a few values, such as medians, often fall on the observed one: half of those count.
  const share = Math.min(1 - 1 / (2 * n), Math.max(1 / (2 * n), (below + equal / 2) / n));
  const bias = normalQuantile(share);
  const at = (p: number) => {
    const z = bias + normalQuantile(p);
    const adjusted = normalCdf(bias + z / (1 - a * z));
    const index = Math.min(n - 1, Math.max(0, Math.round(adjusted * (n - 1))));
    return sorted[index] as number;
  };
  return { low: at((1 - level) / 2), high: at((1 + level) / 2) };
}

function resampled(
  draw: () => number,
  { resamples, progress = () => undefined }: BootstrapSettings,
): Float64Array {
  const figures = new Float64Array(resamples);
  for (let n = 0; n < resamples; n++) {
    figures[n] = draw();
    if (n % PROGRESS_EVERY === 0) progress(n / resamples);
  }
  return figures.sort();
}

/**
 * Interval of a figure of one sample, by drawing from it again and again (BCa bootstrap, Efron
 * 1987). `null` with fewer than three values. The same random stream gives the same interval.
 */
export function bootstrapInterval(
  sample: readonly number[],
  statistic: Statistic,
  settings: BootstrapSettings,
): Interval | null {
  if (sample.length < 3) return null;
  const values = Float64Array.from(sample);
  const into = new Float64Array(values.length);
  const figures = resampled(() => statistic(resample(values, into, settings.random)), settings);
  const a = acceleration(influences(values, statistic));
  return bca(figures, statistic(values.slice()), a, settings.level ?? LEVEL);
}

/**
 * The same for a figure of two independent samples, such as a difference of medians; each is drawn
 * from by itself.
 */
export function bootstrapInterval2(
  first: readonly number[],
  second: readonly number[],
  statistic: (a: Float64Array, b: Float64Array) => number,
  settings: BootstrapSettings,
): Interval | null {
  if (first.length < 3 || second.length < 3) return null;
  const [a, b] = [Float64Array.from(first), Float64Array.from(second)];
  const [intoA, intoB] = [new Float64Array(a.length), new Float64Array(b.length)];
  const { random } = settings;
  const figures = resampled(
    () => statistic(resample(a, intoA, random), resample(b, intoB, random)),
    settings,
  );
  const pulls = [
    ...influences(a, (values) => statistic(values, b.slice())).map((pull) => pull / a.length),
    ...influences(b, (values) => statistic(a.slice(), values)).map((pull) => pull / b.length),
  ];
  const observed = statistic(a.slice(), b.slice());
  return bca(figures, observed, acceleration(pulls), settings.level ?? LEVEL);
}
