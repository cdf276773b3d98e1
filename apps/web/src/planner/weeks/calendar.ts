import type { PlanReply } from '@orthokin/contract';
import { SESSION_MINUTES } from '@orthokin/core/plan';
import { ok, wrong, type Result } from '@orthokin/core/result';
import ICAL from 'ical.js';
import { blockName, howWords } from '../../words/plan.js';

/** What comes behind a plan's id in the id of its event: only our own are read back. */
const OURS = '@orthokin.invalid';
const MINUTE_S = 60;

/**
 * Sessions as an iCalendar file (RFC 5545) that a calendar program takes. Times are those of the clock on
 * the wall, wherever it hangs; a session that has changed is the same event with a higher sequence.
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

/** A session that a calendar has at another time than the plan. */
export interface MovedSession {
  readonly planId: string;
  readonly day: string;
  readonly startsAt: string;
  readonly minutes: number;
}

/** A time by the clock on the wall: what has a zone of its own, or none, means the hour it says; UTC means here. */
function onTheWall(start: ICAL.Time): { readonly day: string; readonly time: string | null } {
  const isUtc = start.zone === ICAL.Timezone.utcTimezone;
  const [day = '', time] = (isUtc ? ICAL.Time.fromJSDate(start.toJSDate(), false) : start)
    .toString()
    .split('T');
  return { day, time: time?.slice(0, 5) ?? null };
}

/** What of these sessions a calendar's file has otherwise; events that are none of ours are left alone. */
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
