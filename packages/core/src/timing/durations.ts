import { durationSdMs } from './error.js';
import { eventOf, type EventName, type TimedEvent } from './events.js';

/** Each duration as [from, to]: its value is to − from. */
const ENDS = {
  splitOffset: ['cue', 'splitLanding'],
  reaction: ['cue', 'firstMove'],
  travel: ['firstMove', 'arrival'],
  load: ['arrival', 'action'],
  action: ['action', 'departure'],
  recovery: ['action', 'home'],
  response: ['cue', 'arrival'],
  cycle: ['cue', 'home'],
  readyMargin: ['home', 'nextCue'],
} as const satisfies Record<string, readonly [EventName, EventName]>;

export type DurationName = keyof typeof ENDS;
/** The names of all durations. */
export const DURATION_NAMES = Object.keys(ENDS) as DurationName[];

/** The events a duration runs between. */
export const endsOf = (name: DurationName): readonly [EventName, EventName] => ENDS[name];

/** A duration, ms, with the sd of its error, ms, from both of its ends. */
export interface Duration {
  readonly ms: number;
  readonly sdMs: number;
}

/** Those whose ends were both timed: one that was not does not exist. */
export type Durations = Readonly<Partial<Record<DurationName, Duration>>>;

/**
 * The durations of a repetition. One whose ends are not both known does not exist (it is not 0).
 *
 * @example
 * const at = (name, atMs) => ({ name, atMs, sdMs: 3, source: 'sensor' });
 * durationsOf([at('cue', 0), at('firstMove', 310)]).reaction.ms; // 310
 */
export function durationsOf(events: readonly TimedEvent[]): Durations {
  const durations: Partial<Record<DurationName, Duration>> = {};
  for (const name of DURATION_NAMES) {
    const [start, end] = ENDS[name];
    const [from, to] = [eventOf(events, start), eventOf(events, end)];
    if (from && to)
      durations[name] = { ms: to.atMs - from.atMs, sdMs: durationSdMs(from.sdMs, to.sdMs) };
  }
  return durations;
}
