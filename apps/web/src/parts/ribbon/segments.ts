import { eventOf, type EventName, type TimedEvent } from '@orthokin/core/timing';
import type { Phase } from '../phases.js';

/** A stretch of a ribbon. With an event between missing it belongs to several phases together. */
export interface Segment {
  readonly phases: readonly Phase[];
  /** Milliseconds from the cue. */
  readonly fromMs: number;
  readonly toMs: number;
}

/** Each boundary of a ribbon and the phase that starts there. */
const BOUNDARIES: readonly (readonly [EventName, Phase])[] = [
  ['cue', 'reaction'],
  ['firstMove', 'travel'],
  ['arrival', 'load'],
  ['action', 'action'],
  ['departure', 'recovery'],
  ['home', 'ready margin'],
];

/** Stance is drawn from this long before the cue. */
export const STANCE_MS = 220;
/** A long wait for the next cue would push the rep itself into a corner. */
export const LONGEST_MARGIN_MS = 400;

/**
 * A rep as bands on an axis whose zero is the cue. Bands meet at the events that were timed; where
 * one is missing between them, the phases it would have parted share a band. Without a departure
 * the recovery runs from the action, as its definition says.
 */
export function segmentsOf(events: readonly TimedEvent[]): Segment[] {
  const cue = eventOf(events, 'cue');
  if (!cue) return [];
  const at = (name: EventName) => {
    const event = eventOf(events, name);
    return event && event.atMs - cue.atMs;
  };
  const segments: Segment[] = [];
  const firstMove = at('firstMove') ?? 0;
  segments.push({ phases: ['stance'], fromMs: -STANCE_MS, toMs: Math.min(0, firstMove) });
  let fromMs = Math.min(0, firstMove);
  let phases: Phase[] = [];
  for (const [i, [name, phase]] of BOUNDARIES.entries()) {
    const time = at(name);
    if (time !== undefined && i > 0) {
      if (time > fromMs && phases.length > 0) segments.push({ phases, fromMs, toMs: time });
      fromMs = Math.max(fromMs, time);
      phases = [];
    }
    const followsTimedAction = phases.length === 1 && phases[0] === 'action';
    const noDeparture = phase === 'recovery' && time === undefined;
    phases = noDeparture && followsTimedAction ? ['recovery'] : [...phases, phase];
  }
  const next = at('nextCue');
  if (at('home') !== undefined && next !== undefined)
    segments.push({
      phases: ['ready margin'],
      fromMs,
      toMs: Math.min(next, fromMs + LONGEST_MARGIN_MS),
    });
  return segments;
}
