import type { EventAnchor } from '../pattern/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { DURATION_NAMES, type Duration } from './durations.js';
import { durationSdMs } from './error.js';
import { EVENT_NAMES, eventOf, type TimedEvent } from './events.js';

/** Something that happened in a repetition under a name of the coach's own: "prepared", "bounce". */
export type CoachEvent = Omit<TimedEvent, 'name'> & { readonly name: string };

/** A rep has no more events of the coach's own than this. */
export const MOST_COACH_EVENTS = 4;
/** Longest name of one, in characters. */
export const LONGEST_EVENT_NAME = 24;

/** What every rep has may mean nothing else. */
export const TAKEN_EVENT_NAMES: readonly string[] = [...EVENT_NAMES, ...DURATION_NAMES];
const taken = new Set(TAKEN_EVENT_NAMES.map((name) => name.toLowerCase()));

/**
 * The name of an event of the coach's own, without blanks around it. A problem where it is empty, too
 * long, already among `others`, or means an event or a duration that every rep has.
 */
export function checkCoachEventName(given: string, others: readonly string[] = []): Result<string> {
  const name = given.trim();
  const allowed = `a name of 1 to ${LONGEST_EVENT_NAME} characters that nothing else has`;
  const plain = name.toLowerCase();
  const isTaken =
    taken.has(plain.replace(/\s/g, '')) || others.some((other) => other.toLowerCase() === plain);
  return name === '' || name.length > LONGEST_EVENT_NAME || isTaken
    ? wrong('name', given, allowed)
    : ok(name);
}

/**
 * When an event of the coach's own came after the cue or the arrival of its rep, ms; less than 0 where
 * it came before. `null` where either was not timed.
 */
export function coachDuration(
  events: readonly TimedEvent[],
  coachEvents: readonly CoachEvent[],
  name: string,
  from: EventAnchor,
): Duration | null {
  const [start, end] = [eventOf(events, from), coachEvents.find((event) => event.name === name)];
  return start && end
    ? { ms: end.atMs - start.atMs, sdMs: durationSdMs(start.sdMs, end.sdMs) }
    : null;
}

/** The names of the events of the coach's own in some reps, in the order they first come in. */
export const coachEventNames = (
  reps: readonly { readonly marks?: { readonly coachEvents?: readonly CoachEvent[] } | null }[],
): string[] => [
  ...new Set(reps.flatMap(({ marks }) => marks?.coachEvents?.map(({ name }) => name) ?? [])),
];
