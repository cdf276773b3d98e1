import { app as en } from './en/app.js';
import { speaker } from './say.js';

/** What is said at the frame of the app. */
export const say = speaker(en);

const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const DAY_MS = 24 * HOUR_MS;

/** A duration in the largest unit of which there are at least two: "90 minutes", "26 hours", "3 days". */
export function amountWords(ms: number): string {
  if (ms < 2 * HOUR_MS) return say('minutes', { n: Math.round(ms / MINUTE_MS) });
  if (ms < 2 * DAY_MS) return say('hours', { n: Math.round(ms / HOUR_MS) });
  return say('days', { n: Math.round(ms / DAY_MS) });
}
