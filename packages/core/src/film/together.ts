import type { Alignment } from './align.js';
import { frameAt, markAt } from './mark.js';
import { cueInRecording, NOTHING_MARKED, tieOfRep, type FilmRep, type Marks } from './marks.js';

/** Moments at which two reps are laid together. */
export const TOGETHER_AT = ['cue', 'firstMove', 'arrival', 'home'] as const;
/** One of them. */
export type TogetherAt = (typeof TOGETHER_AT)[number];

/** One of two films that are played together. */
export interface FilmTogether {
  /** Presentation times of its frames, ms, in order. */
  readonly framesMs: readonly number[];
  /** ms of recording to one of capture: 4 of a film slowed four times. */
  readonly rate: number;
  /** The moment both are laid together at, on its own recording's clock, ms. */
  readonly atMs: number;
}

/**
 * A rep on its film, ready to be laid beside another at one of its moments; `null` where that moment
 * was not marked.
 *
 * @param film how the film hangs together with its set
 */
export function filmTogether(
  rep: FilmRep,
  marks: Marks,
  framesMs: readonly number[],
  film: Alignment,
  at: TogetherAt,
): FilmTogether | null {
  const own = marks[rep.ordinal] ?? NOTHING_MARKED;
  const alignment = tieOfRep(rep, own, framesMs, film);
  const { rate } = alignment;
  if (at === 'cue') return { framesMs, rate, atMs: cueInRecording(rep, alignment) };
  const frame = own.frames[at];
  return frame === undefined
    ? null
    : { framesMs, rate, atMs: markAt(framesMs, frame, rate).recordingMs };
}

/** In the middle of the time that a frame is shown, ms of the recording. */
function middleMs(framesMs: readonly number[], frame: number): number {
  const shown = framesMs[frame] ?? 0;
  return (shown + (framesMs[frame + 1] ?? shown)) / 2;
}

/** The frame of another film that shows the same moment as a frame of this one: as long after the moment both are laid together at, as it was captured. */
export function frameTogether(frame: number, own: FilmTogether, other: FilmTogether): number {
  const sinceMs = (middleMs(own.framesMs, frame) - own.atMs) / own.rate;
  return frameAt(other.framesMs, other.atMs + sinceMs * other.rate);
}
