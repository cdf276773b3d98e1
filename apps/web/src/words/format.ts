import {
  DateFormatter,
  getLocalTimeZone,
  isSameDay,
  parseAbsolute,
  parseDate,
  toCalendarDate,
} from '@internationalized/date';
import { format as en } from './en/format.js';
import { LOCALE } from './locale.js';
import { speaker } from './say.js';

const say = speaker(en);

/**
 * Milliseconds as seconds with two decimals: no source measures finer than that. Rounded as whole
 * hundredths, so that what is shown of a time, a limit and their difference adds up.
 */
export const seconds = (ms: number): string => (Math.round(ms / 10) / 100).toFixed(2);

export const secondsWithUnit = (ms: number): string => `${seconds(ms)} s`;

const zone = getLocalTimeZone();
const dateOf = new DateFormatter(LOCALE, { day: 'numeric', month: 'short' });
const longDateOf = new DateFormatter(LOCALE, { day: 'numeric', month: 'long', year: 'numeric' });
const timeOf = new DateFormatter(LOCALE, { hour: '2-digit', minute: '2-digit' });

/** A day as people say it: today, yesterday, or its date. */
export function dayWords(iso: string, now = new Date()): string {
  const day = toCalendarDate(parseAbsolute(new Date(iso).toISOString(), zone));
  const today = toCalendarDate(parseAbsolute(now.toISOString(), zone));
  if (isSameDay(day, today)) return say('today');
  if (isSameDay(day, today.subtract({ days: 1 }))) return say('yesterday');
  return dateOf.format(new Date(iso));
}

/** A calendar day `YYYY-MM-DD` with its year, as a letter has it; nothing of an empty one. */
export const longDay = (day: string): string =>
  day === '' ? '' : longDateOf.format(parseDate(day).toDate(zone));

export const timeWords = (iso: string): string => timeOf.format(new Date(iso));

const lists = new Intl.ListFormat(LOCALE);

/** "A, B and C". */
export const listWords = (items: readonly string[]): string => lists.format(items);

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** "1 rep", "2 reps". */
export const count = (n: number, one: string, many = `${one}s`): string =>
  `${n} ${n === 1 ? one : many}`;

/** A share as whole percents. */
export const percent = (share: number): string => `${Math.round(100 * share)} %`;
