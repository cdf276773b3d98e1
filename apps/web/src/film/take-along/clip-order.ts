import { frameAt, inRecording, onSetClock, type Alignment, type Drawn } from '@orthokin/core/film';
import { eventOf, type TimedEvent } from '@orthokin/core/timing';
import { PHASE_COLOURS } from '../../parts/phases.js';
import { segmentsOf } from '../../parts/ribbon/segments.js';
import { fromCue, say } from '../../words/film.js';
import { strokesOf } from '../draw/drawn-words.js';
import { eventWords } from '../mark/event-words.js';
import type { ClipBand, ClipFrame, ClipOrder } from '../read/clip.js';

const BEFORE_MS = 500;
const AFTER_MS = 500;
const SECOND = 1000;
/** How long a frame with drawings is held, so that they can be read. */
const DRAWN_S = 1.5;

/** What a clip is made from. */
export interface Clipped {
  readonly events: readonly TimedEvent[];
  /** The rep's own events of the coach. */
  readonly coachEvents: readonly { readonly name: string; readonly atMs: number }[];
  readonly framesMs: readonly number[];
  readonly alignment: Alignment;
  readonly drawnAt: (frame: number) => readonly Drawn[];
  readonly title: string;
}

/** A rep's frames to encode, with its ribbon, at a playing speed (a share of real time). */
export function clipOrder(
  { events, coachEvents, framesMs, alignment, drawnAt, title }: Clipped,
  speed: number,
): ClipOrder {
  const cueMs = eventOf(events, 'cue')?.atMs ?? 0;
  const lastMs = Math.max(...events.map(({ atMs }) => atMs)) - cueMs;
  const [from, to] = [-BEFORE_MS, lastMs + AFTER_MS].map((ms) =>
    frameAt(framesMs, inRecording(alignment, cueMs + ms)),
  ) as [number, number];
  const setMs = framesMs.slice(from, to + 1).map((ms) => onSetClock(alignment, ms) - cueMs);
  const first = setMs[0] ?? 0;
  const lengthMs = (setMs.at(-1) ?? first) - first;
  const share = (ms: number) => Math.min(1, Math.max(0, (ms - first) / lengthMs));
  const bands = segmentsOf(events).flatMap(({ phases, fromMs: start, toMs: end }): ClipBand[] => {
    const [phase] = phases;
    if (phase === undefined) return [];
    const name = phases.join(', ');
    return [{ from: share(start), to: share(end), fill: PHASE_COLOURS[phase], name }];
  });
  const marked = eventWords(events, coachEvents, cueMs).sort((a, b) => a.atMs - b.atMs);
  let heldS = 0;
  const frames = setMs.map((ms, i): ClipFrame => {
    const strokes = strokesOf(drawnAt(from + i));
    const showS = (ms - first) / SECOND / speed + heldS;
    if (strokes.length > 0) heldS += DRAWN_S;
    const last = marked.findLast(({ atMs }) => atMs - cueMs <= ms);
    const words = [say('fromCue', { at: fromCue(ms) }), ...(last ? [last.words] : [])];
    return { showS, share: share(ms), words, strokes };
  });
  const lastFrameMs = setMs.at(-1) ?? first;
  const gapMs = lastFrameMs - (setMs.at(-2) ?? lastFrameMs);
  const endS = (lastFrameMs + gapMs - first) / SECOND / speed + heldS;
  return { from, frames, endS, bands, title };
}
