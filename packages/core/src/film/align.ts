import { leastSquares } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';

/** How a recording's clock runs against the set's: `recording = offsetMs + rate · set`. */
export interface Alignment {
  readonly offsetMs: number;
  /** Milliseconds of recording to one of the set: 1, or 4 of a film slowed four times. */
  readonly rate: number;
  /** Sd of what is left over at each cue that was heard, ms of the set: the alignment's error. */
  readonly sdMs: number;
  /** Planned cues that were heard, by their place in the plan, with their time in the recording. */
  readonly heard: ReadonlyMap<number, number>;
  /** Heard, and no cue of the plan. */
  readonly strays: readonly number[];
}

/** How much slower a phone stores what it captured. */
export const SLOW_FACTORS = [1, 2, 4, 8] as const;
/** One of them. */
export type SlowFactor = (typeof SLOW_FACTORS)[number];
/** So many cues and fewer could fall into place by chance. */
const FEWEST_HEARD = 3;
/** Share of the cues of a plan that must be heard. */
const LEAST_SHARE = 0.5;
/** Farthest that a tone may be from its place while the line is not yet known, ms of the set. */
const COARSE_MS = 30;
/** The same once it is known. */
const FINE_MS = 12;
const REFINEMENTS = 3;

interface Line {
  readonly offsetMs: number;
  readonly rate: number;
}

/** The heard time nearest to where each planned cue should be, no farther than that, each once. */
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

/** The line through what was heard; the sd of what it leaves over, ms of the set. */
function lineThrough(
  plannedMs: readonly number[],
  found: ReadonlyMap<number, number>,
): Line & { readonly sdMs: number } {
  const { intercept, slope, rss } = leastSquares(
    [...found.keys()].map((i) => plannedMs[i] as number),
    [...found.values()],
  );
  // A line takes two degrees of freedom: of few cues the plain sd would be too small.
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

/** Sound takes so long for a metre of air, ms. */
export const SOUND_MS_PER_M = 2.9;

/** How far a cue's sound goes, m. */
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

/** A moment of the set in the recording, ms. */
export const inRecording = ({ offsetMs, rate }: Line, setMs: number): number =>
  offsetMs + rate * setMs;

/** A moment of the recording on the set's clock, ms. */
export const onSetClock = ({ offsetMs, rate }: Line, recordingMs: number): number =>
  (recordingMs - offsetMs) / rate;
