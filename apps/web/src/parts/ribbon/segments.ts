import { eventOf, type EventName, type TimedEvent } from '@orthokin/core/timing';
import type { Phase } from '../phases.js';

/** A band of a ribbon. If an event in between was not timed it covers several phases. */
export interface Segment {
  readonly phases: readonly Phase[];
  /** Milliseconds from the cue. */
  readonly fromMs: number;
  readonly toMs: number;
}

/** Each boundary event, with the phase that begins there. */
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
/** Ready margins are cut off here: a long wait would squeeze the rep itself. */
export const LONGEST_MARGIN_MS = 400;

/**
 * A rep as bands on an axis that begins at the cue. Bands meet at timed events; phases with no timed event between
 * them share a band. Without a departure recovery begins at the action, as it is defined.
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
