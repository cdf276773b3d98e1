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
import { unbroken } from './unbroken.js';

const say = speaker(en);

/**
 * Milliseconds as seconds with two decimals, which no source exceeds. Rounded to whole hundredths first, so that a
 * shown time, limit and difference add up.
 */
export const seconds = (ms: number): string => (Math.round(ms / 10) / 100).toFixed(2);

/** The same with a proper minus sign for negative times. */
export const signedSeconds = (ms: number): string =>
  `${Math.round(ms / 10) < 0 ? '−' : ''}${seconds(Math.abs(ms))}`;

export const secondsWithUnit = (ms: number): string => unbroken(`${seconds(ms)} s`);

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

/** A calendar day `YYYY-MM-DD` without its year. */
export const dateWords = (day: string): string => dateOf.format(parseDate(day).toDate(zone));

/** A calendar day `YYYY-MM-DD` with its year, as a letter has it; nothing of an empty one. */
export const longDay = (day: string): string =>
  day === '' ? '' : longDateOf.format(parseDate(day).toDate(zone));

export const timeWords = (iso: string): string => timeOf.format(new Date(iso));

const weekdayNames = new DateFormatter(LOCALE, { weekday: 'short' });

/** The day of the week of a calendar day `YYYY-MM-DD`. */
export const weekdayName = (day: string): string =>
  weekdayNames.format(parseDate(day).toDate(zone));

/** A calendar day `YYYY-MM-DD` as a week's page has it: its day of the week, and of the month. */
export const weekdayWords = (day: string): string => `${weekdayName(day)} ${parseDate(day).day}`;

const ands = new Intl.ListFormat(LOCALE);
const ors = new Intl.ListFormat(LOCALE, { type: 'disjunction' });
const commas = new Intl.ListFormat(LOCALE, { type: 'unit', style: 'short' });

/** List items; empty ones are left out. */
type Listed = string | number | null | undefined | false;

const there = (items: readonly Listed[]): string[] =>
  items.flatMap((item) => (item || item === 0 ? [String(item)] : []));

/** "A, B and C". */
export const listWords = (items: readonly Listed[]): string => ands.format(there(items));

/** "A, B or C". */
export const orList = (items: readonly Listed[]): string => ors.format(there(items));

/** "A, B, C". */
export const commaList = (items: readonly Listed[]): string => commas.format(there(items));

/** "A; B; C", for items with commas of their own. */
export const semicolonList = (items: readonly Listed[]): string => there(items).join('; ');

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** A share as whole percents. */
export const percent = (share: number): string => unbroken(`${Math.round(100 * share)} %`);
