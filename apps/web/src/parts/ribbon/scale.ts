import { limitsAt, type GatedDuration, type Rung } from '@orthokin/core/pattern';
import {
  endsOf,
  eventOf,
  type EventName,
  type RepReading,
  type TimedEvent,
} from '@orthokin/core/timing';
import { segmentsOf, STANCE_MS } from './segments.js';

/** A rung's limits, ms. */
export type Limits = Readonly<Partial<Record<GatedDuration, number>>>;

/** The limits drawn on ribbons: a rung's, and those of its targets. */
export type RibbonLimits = Pick<Rung, 'limitsMs' | 'targetLimits'>;

/** Converts times to places on the drawing. */
export interface Scale {
  readonly x: (ms: number) => number;
  readonly startMs: number;
  readonly endMs: number;
}

/** Events that ribbons can be aligned at. */
export const ALIGN_AT = ['cue', 'firstMove', 'arrival', 'home'] as const;
export type AlignAt = (typeof ALIGN_AT)[number];

/** A rep's zero when aligned at an event: the event's time after the cue, ms. */
export const zeroOf = (events: readonly TimedEvent[], at: AlignAt): number | undefined =>
  at === 'cue' ? 0 : sinceCue(events, at);

/** A scale that fits all reps and limits between two edges. */
export function scaleFor(
  readings: readonly RepReading[],
  limits: RibbonLimits,
  from: number,
  to: number,
  at: AlignAt = 'cue',
): Scale {
  const lined = readings.map(({ rep }) => ({
    events: rep.events,
    limitsMs: limitsAt(limits, rep.target),
    zeroMs: zeroOf(rep.events, at) ?? 0,
  }));
  const ends = lined.flatMap(({ events, limitsMs, zeroMs }) => [
    ...segmentsOf(events).map(({ toMs }) => toMs - zeroMs),
    ...limitsOf(events, limitsMs).map(({ atMs }) => atMs - zeroMs),
  ]);
  const earliest = Math.min(0, ...lined.map(({ zeroMs }) => -zeroMs));
  const endMs = Math.max(at === 'home' ? 400 : 1500, ...ends) + 60;
  const startMs = earliest - STANCE_MS - 130;
  return {
    startMs,
    endMs,
    x: (ms) => from + ((ms - startMs) / (endMs - startMs)) * (to - from),
  };
}

/** The scale for a rep whose zero is not its cue. */
export const shifted = (scale: Scale, zeroMs: number): Scale => ({
  ...scale,
  x: (ms) => scale.x(ms - zeroMs),
});

/** Where the limits of a rep end, ms after its cue. */
export const limitsOf = (events: readonly TimedEvent[], limitsMs: Limits) =>
  Object.entries(limitsMs).flatMap(([name, limit]) => {
    const start = sinceCue(events, endsOf(name as GatedDuration)[0]);
    return start === undefined ? [] : [{ name, atMs: start + limit }];
  });

/** An event's time after its rep's cue; `undefined` if it was not timed. */
export const sinceCue = (events: readonly TimedEvent[], name: EventName): number | undefined => {
  const cue = eventOf(events, 'cue');
  const event = eventOf(events, name);
  return cue && event ? event.atMs - cue.atMs : undefined;
};
