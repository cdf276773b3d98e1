import { leastSquares } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';

/** How a recording's clock runs against the set's: `recording = offsetMs + rate · set`. */
export interface Alignment {
  readonly offsetMs: number;
  /** Milliseconds of recording per millisecond of the set: 1, or 4 for slow motion by four. */
  readonly rate: number;
  /** Standard deviation of the residuals at the cues found, ms of the set: the alignment's error. */
  readonly sdMs: number;
  /** Cues found, by their index in the schedule, with their time in the recording. */
  readonly heard: ReadonlyMap<number, number>;
  /** Onsets in the recording that are not cues of the schedule. */
  readonly strays: readonly number[];
}

/** Factors of slow motion that phones store films with. */
export const SLOW_FACTORS = [1, 2, 4, 8] as const;
/** One of them. */
export type SlowFactor = (typeof SLOW_FACTORS)[number];
/** So few cues may match by chance. */
const FEWEST_HEARD = 3;
/** The least share of scheduled cues that must be found. */
const LEAST_SHARE = 0.5;
/** The most an onset may be off while the line is not yet known, ms of the set. */
const COARSE_MS = 30;
/** The same once the line is known. */
const FINE_MS = 12;
const REFINEMENTS = 3;

interface Line {
  readonly offsetMs: number;
  readonly rate: number;
}

/** For each scheduled cue the nearest onset within a distance, each onset once. */
function matched(
  plannedMs: readonly number[],
  heardMs: readonly number[],
  { offsetMs, rate }: Line,
  farthestMs: number,
): Map<number, number> {
  const found = new Map<number, number>();
  let from = 0;
  plannedMs.forEach((planned, i) => {
    const at = offsetMs + rate * planned;
    while (from < heardMs.length && (heardMs[from] as number) < at - farthestMs) from++;
    let best = -1;
    for (let j = from; j < heardMs.length && (heardMs[j] as number) <= at + farthestMs; j++)
      if (
        best < 0 ||
        Math.abs((heardMs[j] as number) - at) < Math.abs((heardMs[best] as number) - at)
      )
        best = j;
    if (best < 0) return;
    found.set(i, heardMs[best] as number);
    from = best + 1;
  });
  return found;
}

/** Fits a line through matched cues; the standard deviation of its residuals is in ms of the set. */
function lineThrough(
  plannedMs: readonly number[],
  found: ReadonlyMap<number, number>,
): Line & { readonly sdMs: number } {
  const { intercept, slope, rss } = leastSquares(
    [...found.keys()].map((i) => plannedMs[i] as number),
    [...found.values()],
  );
  // A line has two parameters: with few cues the plain standard deviation would be too small.
  return { offsetMs: intercept, rate: slope, sdMs: Math.sqrt(rss / (found.size - 2)) / slope };
}

/**
 * Where a set's cues are in a recording, from the tones heard in it: every pair of a planned and a
 * heard cue votes for an offset at each factor of slow motion; what most agree on is fitted.
 *
 * @param plannedMs cues on the set's clock, ms, in order
 * @param heardMs onsets on the recording's clock, ms, in order; some may be missing, some false
 * @param factors of slow motion that are thought of
 * @returns a problem with `heard` where too few of them fall into place
 */
export function alignCues(
  plannedMs: readonly number[],
  heardMs: readonly number[],
  factors: readonly SlowFactor[] = SLOW_FACTORS,
): Result<Alignment> {
  let best: { line: Line; count: number } | null = null;
  for (const rate of factors)
    for (const planned of plannedMs)
      for (const heard of heardMs) {
        const line = { offsetMs: heard - rate * planned, rate };
        const count = matched(plannedMs, heardMs, line, COARSE_MS * rate).size;
        if (!best || count > best.count) best = { line, count };
      }
  const needed = Math.max(FEWEST_HEARD, Math.ceil(LEAST_SHARE * plannedMs.length));
  if (!best || best.count < needed)
    return wrong('heard', best?.count ?? 0, `${needed} or more of ${plannedMs.length} cues`);
  let line: Line = best.line;
  let found = matched(plannedMs, heardMs, line, COARSE_MS * line.rate);
  for (let i = 0; i < REFINEMENTS; i++) {
    line = lineThrough(plannedMs, found);
    found = matched(plannedMs, heardMs, line, FINE_MS * line.rate);
    if (found.size < FEWEST_HEARD)
      return wrong('heard', found.size, `${needed} or more of ${plannedMs.length} cues`);
  }
  const known = new Set(found.values());
  return ok({
    ...lineThrough(plannedMs, found),
    heard: found,
    strays: heardMs.filter((each) => !known.has(each)),
  });
}

/**
 * The alignment that two cues marked in the picture fix, for a film without sound.
 *
 * @param cues each with its time on the set's clock and in the recording, ms
 * @param sdMs of one such mark, ms of the recording
 */
export function alignByMarks(
  [first, second]: readonly [
    { readonly setMs: number; readonly recordingMs: number },
    { readonly setMs: number; readonly recordingMs: number },
  ],
  sdMs: number,
): Result<Alignment> {
  const rate = (second.recordingMs - first.recordingMs) / (second.setMs - first.setMs);
  if (!(rate > 0) || !Number.isFinite(rate))
    return wrong('marks', rate, 'two different cues, marked in their order');
  const offsetMs = first.recordingMs - rate * first.setMs;
  return ok({ offsetMs, rate, sdMs: sdMs / rate, heard: new Map(), strays: [] });
}

/** The time sound needs for a metre of air, ms. */
export const SOUND_MS_PER_M = 2.9;

/** The distances a cue's sound travels, m. */
export interface SoundWay {
  /** From the loudspeaker to the camera's microphone. */
  readonly toCameraM: number;
  readonly toAthleteM: number;
}

/**
 * The same alignment with the cue where the athlete heard it: the camera heard it at its own distance.
 * Nearer to the loudspeaker than the camera, the athlete heard it sooner.
 */
export const asHeardByAthlete = (
  alignment: Alignment,
  { toCameraM, toAthleteM }: SoundWay,
): Alignment => ({
  ...alignment,
  offsetMs: alignment.offsetMs - alignment.rate * SOUND_MS_PER_M * (toCameraM - toAthleteM),
});

/** Converts ms of the set to ms of the recording. */
export const inRecording = ({ offsetMs, rate }: Line, setMs: number): number =>
  offsetMs + rate * setMs;

/** Converts ms of the recording to ms of the set. */
export const onSetClock = ({ offsetMs, rate }: Line, recordingMs: number): number =>
  (recordingMs - offsetMs) / rate;
