import { median } from '../numeric/index.js';
import {
  durationSdMs,
  durationsOf,
  EVENT_NAMES,
  eventOf,
  type DurationName,
  type RepReading,
  type TimedEvent,
} from '../timing/index.js';

/** Phases in which one rep can differ from another. */
export const PHASE_DURATIONS = [
  'reaction',
  'travel',
  'load',
  'action',
  'recovery',
  'cycle',
] as const satisfies readonly DurationName[];
export type PhaseDuration = (typeof PHASE_DURATIONS)[number];

/**
 * A rep as it usually was: each event at the median of its times after the cue, over the reps that
 * count and have it. `null` when none counts. A median of n reps is sure to about sd·√(π/2n).
 */
export function medianRep(readings: readonly RepReading[]): RepReading | null {
  const counted = readings.filter(({ leftOut }) => leftOut === null);
  if (counted.length === 0) return null;
  const events = EVENT_NAMES.flatMap((name): TimedEvent[] => {
    const own = counted.flatMap(({ rep }) => {
      const [cue, event] = [eventOf(rep.events, 'cue'), eventOf(rep.events, name)];
      return cue && event ? [{ atMs: event.atMs - cue.atMs, event }] : [];
    });
    const [first] = own;
    if (!first || own.length < counted.length / 2) return [];
    const sdMs = median(own.map(({ event }) => event.sdMs)) * Math.sqrt(Math.PI / 2 / own.length);
    return [{ ...first.event, atMs: median(own.map(({ atMs }) => atMs)), sdMs }];
  });
  const rep = { ordinal: 0, target: '', events, seenFaults: [], struckOut: false };
  return { rep, trial: 'plain', durations: durationsOf(events), faults: [], leftOut: null };
}

/** A phase compared with the reference rep's, ms. */
export interface PhaseDifference {
  readonly name: PhaseDuration;
  /** This rep's minus the reference's; positive is longer. */
  readonly ms: number;
  readonly sdMs: number;
  /** Whether the difference exceeds twice the timing error. */
  readonly isSure: boolean;
}

/** Differences of a rep's phases from a reference rep's, where both were timed. */
export const differencesFrom = (reading: RepReading, reference: RepReading): PhaseDifference[] =>
  PHASE_DURATIONS.flatMap((name) => {
    const [own, other] = [reading.durations[name], reference.durations[name]];
    if (!own || !other) return [];
    const ms = own.ms - other.ms;
    const sdMs = durationSdMs(own.sdMs, other.sdMs);
    return [{ name, ms, sdMs, isSure: Math.abs(ms) > 2 * sdMs }];
  });
