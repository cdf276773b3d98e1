import { median } from '../numeric/index.js';
import type { DurationName, RepReading } from '../timing/index.js';
import { contains, type Interval } from './interval.js';
import { slopeInterval, theilSen } from './theil-sen.js';

/** Verdicts: the slope's interval lies above zero, below zero, or contains it. */
export const FADE_WORDS = ['faded', 'sped up', 'no clear change'] as const;
export type FadeWord = (typeof FADE_WORDS)[number];

/** Whether reps become slower during a set. */
export interface Fade {
  readonly n: number;
  /** Theil–Sen slope, ms per rep; above 0 slower. */
  readonly msPerRep: number;
  readonly interval: Interval | null;
  /** Median of the last third relative to the first, ms. */
  readonly lastThirdMs: number;
  readonly firstThirdMs: number;
  readonly words: FadeWord;
}

const FEWEST_REPS = 6;

/** Times without their targets' differences: a far target late in a set is not a fade. */
function aside(timed: readonly { readonly target: string; readonly ms: number }[]): number[] {
  const all = median(timed.map(({ ms }) => ms));
  const own = new Map<string, number[]>();
  for (const { target, ms } of timed) own.set(target, [...(own.get(target) ?? []), ms]);
  const middle = new Map([...own].map(([target, times]) => [target, median(times)]));
  return timed.map(({ target, ms }) => ms - (middle.get(target) ?? all) + all);
}

/** Fade of a duration over a set's counted reps, with targets' differences removed. */
export function fadeOf(readings: readonly RepReading[], name: DurationName): Fade | null {
  const timed = readings.flatMap(({ rep, durations, leftOut }) => {
    const duration = durations[name];
    return duration && !leftOut ? [{ target: rep.target, ms: duration.ms }] : [];
  });
  if (timed.length < FEWEST_REPS) return null;
  const times = aside(timed);
  const third = Math.floor(times.length / 3);
  const { slope } = theilSen(times);
  const interval = slopeInterval(times);
  const isSure = interval !== null && slope !== 0 && !contains(interval, 0);
  return {
    n: times.length,
    msPerRep: slope,
    interval,
    firstThirdMs: median(times.slice(0, third)),
    lastThirdMs: median(times.slice(-third)),
    words: isSure ? (slope > 0 ? 'faded' : 'sped up') : 'no clear change',
  };
}
