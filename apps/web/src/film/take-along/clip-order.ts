import { frameAt, inRecording, onSetClock, type Alignment } from '@orthokin/core/film';
import { eventOf, type TimedEvent } from '@orthokin/core/timing';
import { PHASE_COLOURS } from '../../parts/phases.js';
import { segmentsOf } from '../../parts/ribbon/segments.js';
import { fromCue, say } from '../../words/film.js';
import type { ClipBand, ClipOrder } from '../read/clip.js';

const BEFORE_MS = 500;
const AFTER_MS = 500;
const SECOND = 1000;

/** A rep as it is to be encoded: its frames, slowed as it is played here, its ribbon under them. */
export function clipOrder(
  events: readonly TimedEvent[],
  framesMs: readonly number[],
  alignment: Alignment,
  speed: number,
  title: string,
): ClipOrder {
  const cueMs = eventOf(events, 'cue')?.atMs ?? 0;
  const lastMs = Math.max(...events.map(({ atMs }) => atMs)) - cueMs;
  const [fromMs, toMs] = [-BEFORE_MS, lastMs + AFTER_MS];
  const [from, to] = [fromMs, toMs].map((ms) =>
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
  return {
    ...{ from, to, bands, title },
    showS: setMs.map((ms) => (ms - first) / SECOND / speed),
    words: setMs.map((ms) => say('fromCue', { at: fromCue(ms) })),
  };
}
