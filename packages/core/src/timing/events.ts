import { ok, wrong, type Result } from '../result/index.js';

/** Events of a rep, in the order they must come in. */
export const EVENT_NAMES = [
  'cue',
  'splitTakeoff',
  'splitLanding',
  'firstMove',
  'arrival',
  'action',
  'departure',
  'home',
  'nextCue',
] as const;
export type EventName = (typeof EVENT_NAMES)[number];

/** What may time an event. */
export const TIMING_SOURCES = ['hand', 'sensor', 'film', 'simulated'] as const;
export type TimingSource = (typeof TIMING_SOURCES)[number];

/** No source is less sure than this, ms. */
export const MAX_SD_MS = 1000;

/** Something that happened in a repetition. */
export interface TimedEvent {
  readonly name: EventName;
  /** On the set's own clock: milliseconds since the set started. */
  readonly atMs: number;
  /** Standard deviation of the timing error. */
  readonly sdMs: number;
  readonly source: TimingSource;
}

/** The event of a name, if it was timed. */
export function eventOf(events: readonly TimedEvent[], name: EventName): TimedEvent | undefined {
  // Not `find`: this is asked dozens of times of each rep.
  for (const event of events) if (event.name === name) return event;
  return undefined;
}

/**
 * Chains in which no event may come before an earlier one. A first move may come before its cue
 * (that is a false start, not an error) and the split-step may fall on either side of the cue.
 */
const ORDERED_CHAINS: readonly (readonly EventName[])[] = [
  ['cue', 'arrival', 'action', 'departure', 'home', 'nextCue'],
  ['firstMove', 'arrival', 'action', 'departure', 'home', 'nextCue'],
  ['splitTakeoff', 'splitLanding', 'arrival'],
];

/**
 * The events themselves when they make a possible repetition. Otherwise a problem: no cue (which
 * only a catch trial may lack), an event given twice, or two events out of order, both of which
 * are then named.
 */
export function checkEvents(
  events: readonly TimedEvent[],
  needsCue = true,
): Result<readonly TimedEvent[]> {
  const names = events.map((event) => event.name);
  const twice = names.findIndex((name, i) => names.indexOf(name) !== i);
  if (twice >= 0) return wrong(`events[${twice}].name`, names[twice], 'each event at most once');
  if (needsCue && !names.includes('cue'))
    return wrong('events', names.join(', ') || 'none', 'a cue among them');
  for (const chain of ORDERED_CHAINS) {
    const present = chain
      .map((name) => eventOf(events, name))
      .filter((event) => event !== undefined);
    for (const [i, later] of present.entries()) {
      const earlier = present[i - 1];
      if (earlier && later.atMs < earlier.atMs)
        return wrong(
          `events[${events.indexOf(later)}].atMs`,
          `${later.name} at ${later.atMs} ms, before ${earlier.name} at ${earlier.atMs} ms`,
          `${later.name} not before ${earlier.name}`,
        );
    }
  }
  return ok(events);
}
