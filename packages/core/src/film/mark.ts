import { mean, median, sd } from '../numeric/index.js';

/** Frame gaps between which a marker's repeatability is interpolated, ms: 120 and 30 frames a second. */
const [FAST_GAP_MS, SLOW_GAP_MS] = [1000 / 120, 1000 / 30];
const [FAST_SD_MS, SLOW_SD_MS] = [8, 15];

/**
 * How much one person's marks of the same event differ, ms, where it was not measured: 8 at 120
 * frames a second and over, 15 at 30, in between by the gap between frames.
 *
 * @param gapMs between two frames as they were captured
 */
export function usualRepeatabilityMs(gapMs: number): number {
  const share = (gapMs - FAST_GAP_MS) / (SLOW_GAP_MS - FAST_GAP_MS);
  return FAST_SD_MS + (SLOW_SD_MS - FAST_SD_MS) * Math.min(1, Math.max(0, share));
}

/** A marker's own repeatability from marking the same events again, blind: sd of the differences / √2. */
export function repeatabilityMs(first: readonly number[], again: readonly number[]): number | null {
  const differences = first.slice(0, again.length).map((ms, i) => ms - (again[i] as number));
  if (differences.length < 2) return null;
  return sd(differences) / Math.SQRT2;
}

/** A marked moment: between the last frame that does not show the event and the first that does. */
export interface Mark {
  /** On the recording's clock, ms. */
  readonly recordingMs: number;
  /** Error in capture time, with the marker's own repeatability, ms. */
  readonly sdMs: number;
}

/**
 * An event that a frame is the first to show: it lies between the frame before and this one.
 *
 * @param framesMs presentation times, ms, in order
 * @param index of the first frame that shows it
 * @param rate ms of recording to one of capture: 4 of a film slowed four times
 * @param ownSdMs the marker's own repeatability, ms; usual for the gap where it is not known
 */
export function markAt(
  framesMs: readonly number[],
  index: number,
  rate: number,
  ownSdMs: number | null = null,
): Mark {
  const shown = framesMs[index] ?? 0;
  const before = framesMs[index - 1] ?? shown - ((framesMs[index + 1] ?? shown) - shown);
  const gapMs = (shown - before) / rate;
  const own = ownSdMs ?? usualRepeatabilityMs(gapMs);
  return { recordingMs: (before + shown) / 2, sdMs: Math.hypot(gapMs / Math.sqrt(12), own) };
}

/** The frame shown at a time: the last that is not later, or the first of all. */
export function frameAt(framesMs: readonly number[], recordingMs: number): number {
  let [low, high] = [0, framesMs.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((framesMs[middle] as number) <= recordingMs) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** Frames between two times of a recording, evenly spread, at most a given number. */
export function framesThrough(
  framesMs: readonly number[],
  fromMs: number,
  toMs: number,
  most: number,
): number[] {
  const [first, last] = [frameAt(framesMs, fromMs), frameAt(framesMs, toMs)];
  const step = Math.max(1, Math.ceil((last - first + 1) / most));
  return Array.from({ length: Math.floor((last - first) / step) + 1 }, (_, i) => first + i * step);
}

/** Gaps that differ by more than this share are not just rounded by the file. */
const UNEVEN = 0.1;

/** The median gap between frames, ms, and whether gaps vary. */
export function frameRate(framesMs: readonly number[]): {
  readonly gapMs: number;
  readonly varies: boolean;
} {
  const gaps = framesMs.slice(1).map((ms, i) => ms - (framesMs[i] as number));
  if (gaps.length === 0) return { gapMs: 0, varies: false };
  const usual = median(gaps);
  const varies = gaps.some((gap) => Math.abs(gap - usual) > UNEVEN * usual);
  // Files store whole milliseconds: of constant frame rates only the mean gap is exact.
  return { gapMs: varies ? usual : mean(gaps), varies };
}
