import type { Alignment } from './align.js';
import { frameAt, markAt } from './mark.js';
import { cueInRecording, NOTHING_MARKED, tieOfRep, type FilmRep, type Marks } from './marks.js';

/** Events at which two reps can be aligned. */
export const TOGETHER_AT = ['cue', 'firstMove', 'arrival', 'home'] as const;
/** One of them. */
export type TogetherAt = (typeof TOGETHER_AT)[number];

/** A film that plays together with another. */
export interface FilmTogether {
  /** Presentation times of its frames, ms, in order. */
  readonly framesMs: readonly number[];
  /** Milliseconds of recording per millisecond of capture: 4 for slow motion by four. */
  readonly rate: number;
  /** The aligning event, ms on this recording's clock. */
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

/** The middle of the time a frame is shown, ms of the recording. */
function middleMs(framesMs: readonly number[], frame: number): number {
  const shown = framesMs[frame] ?? 0;
  return (shown + (framesMs[frame + 1] ?? shown)) / 2;
}

/** The other film's frame at the same capture time after the aligning event. */
export function frameTogether(frame: number, own: FilmTogether, other: FilmTogether): number {
  const sinceMs = (middleMs(own.framesMs, frame) - own.atMs) / own.rate;
  return frameAt(other.framesMs, other.atMs + sinceMs * other.rate);
}
