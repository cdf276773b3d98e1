import type { GatedDuration } from '@orthokin/core/pattern';
import {
  endsOf,
  eventOf,
  type EventName,
  type RepReading,
  type TimedEvent,
} from '@orthokin/core/timing';
import { segmentsOf, STANCE_MS } from './segments.js';

/** The longest allowed times of a rung, ms. */
export type Limits = Readonly<Partial<Record<GatedDuration, number>>>;

/** Where a moment after the cue falls on the drawing. */
export interface Scale {
  readonly x: (ms: number) => number;
  readonly endMs: number;
}

/** A scale that holds every rep and every limit between two edges of the drawing. */
export function scaleFor(
  readings: readonly RepReading[],
  limitsMs: Limits,
  from: number,
  to: number,
): Scale {
  const ends = readings.flatMap(({ rep }) => segmentsOf(rep.events).map(({ toMs }) => toMs));
  const ticks = readings.flatMap(({ rep }) =>
    limitsOf(rep.events, limitsMs).map(({ atMs }) => atMs),
  );
  const endMs = Math.max(1500, ...ends, ...ticks) + 60;
  const startMs = -STANCE_MS - 130;
  return { endMs, x: (ms) => from + ((ms - startMs) / (endMs - startMs)) * (to - from) };
}

/** Where each limit of a rep falls, counted from its cue. */
export const limitsOf = (events: readonly TimedEvent[], limitsMs: Limits) =>
  Object.entries(limitsMs).flatMap(([name, limit]) => {
    const start = sinceCue(events, endsOf(name as GatedDuration)[0]);
    return start === undefined ? [] : [{ name, atMs: start + limit }];
  });

/** When an event was, counted from its rep's cue; `undefined` when it was not timed. */
export const sinceCue = (events: readonly TimedEvent[], name: EventName): number | undefined => {
  const cue = eventOf(events, 'cue');
  const event = eventOf(events, name);
  return cue && event ? event.atMs - cue.atMs : undefined;
};
