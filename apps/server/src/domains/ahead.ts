import { wrong } from '@orthokin/core/result';
import { accepted } from '../platform/http/refusals.js';

/** Allows for time zones and a clock that is somewhat wrong, but not for a wrong year. */
const MOST_AHEAD_MS = 26 * 60 * 60 * 1000;
const DAY_MS = 24 * 60 * 60 * 1000;

/** Refuses a moment in the future, by the server's clock. */
export function refuseAhead(field: string, iso: string): void {
  if (Date.parse(iso) > Date.now() + MOST_AHEAD_MS)
    accepted(wrong(field, iso, `up to now, ${new Date().toISOString()} by the server’s clock`));
}

/** Refuses a calendar day that does not match its moment in any time zone. */
export function refuseOtherDay(field: string, day: string, moment: string): void {
  if (Math.abs(Date.parse(`${day}T12:00:00Z`) - Date.parse(moment)) > 1.6 * DAY_MS)
    accepted(wrong(field, day, `the day of ${moment}`));
}
