import type { PlanReply } from '@orthokin/contract';
import { SESSION_MINUTES } from '@orthokin/core/plan';
import { ok, wrong, type Result } from '@orthokin/core/result';
import ICAL from 'ical.js';
import { blockName, howWords } from '../../words/plan.js';

/** Suffix of our events' ids, by which they are recognised when a calendar is read. */
const OURS = '@orthokin.invalid';
const MINUTE_S = 60;

/**
 * Sessions as iCalendar (RFC 5545), in floating local times. A changed session keeps its event's id, with a higher
 * sequence number.
 */
export function toCalendar(sessions: readonly PlanReply[], now: Date): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Orthokin//sessions//EN');
  for (const { id, name, day, startsAt, minutes, blocks, revision } of sessions) {
    const event = new ICAL.Component('vevent');
    event.addPropertyWithValue('uid', `${id}${OURS}`);
    event.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(now, true));
    event.addPropertyWithValue('dtstart', ICAL.Time.fromDateTimeString(`${day}T${startsAt}:00`));
    event.addPropertyWithValue('duration', ICAL.Duration.fromSeconds(MINUTE_S * minutes));
    event.addPropertyWithValue('sequence', revision);
    event.addPropertyWithValue('summary', name);
    event.addPropertyWithValue(
      'description',
      blocks.map((block) => `${blockName(block)} (${howWords(block)})`).join('\n'),
    );
    calendar.addSubcomponent(event);
  }
  return `${calendar.toString()}\r\n`;
}

/** A session whose time in the calendar differs from the plan. */
export interface MovedSession {
  readonly planId: string;
  readonly day: string;
  readonly startsAt: string;
  readonly minutes: number;
}

/**
 * An event's local day and time. With a time zone of its own, or none, the stated time counts; UTC is converted to
 * this device's zone.
 */
function onTheWall(start: ICAL.Time): { readonly day: string; readonly time: string | null } {
  const isUtc = start.zone === ICAL.Timezone.utcTimezone;
  const [day = '', time] = (isUtc ? ICAL.Time.fromJSDate(start.toJSDate(), false) : start)
    .toString()
    .split('T');
  return { day, time: time?.slice(0, 5) ?? null };
}

/** Our events in a calendar file whose times differ from these sessions; other events are ignored. */
export function movedIn(text: string, sessions: readonly PlanReply[]): Result<MovedSession[]> {
  let events: ICAL.Event[];
  try {
    events = new ICAL.Component(ICAL.parse(text) as unknown[])
      .getAllSubcomponents('vevent')
      .map((component) => new ICAL.Event(component));
  } catch {
    return wrong('file', text.slice(0, 40), 'a calendar file (iCalendar, .ics)');
  }
  return ok(
    events.flatMap(({ uid, startDate, duration }) => {
      const plan = sessions.find(({ id }) => uid === `${id}${OURS}`);
      if (!plan) return [];
      const { day, time } = onTheWall(startDate);
      const [least, most] = SESSION_MINUTES;
      const moved = {
        ...{ planId: plan.id, day, startsAt: time ?? plan.startsAt },
        minutes: Math.min(most, Math.max(least, Math.round(duration.toSeconds() / MINUTE_S))),
      };
      const isSame =
        moved.day === plan.day &&
        moved.startsAt === plan.startsAt &&
        moved.minutes === plan.minutes;
      return isSame ? [] : [moved];
    }),
  );
}
