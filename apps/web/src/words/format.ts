/**
 * Milliseconds as seconds with two decimals: no source measures finer than that. Rounded as whole
 * hundredths, so that what is shown of a time, a limit and their difference adds up.
 */
export const seconds = (ms: number): string => (Math.round(ms / 10) / 100).toFixed(2);

export const secondsWithUnit = (ms: number): string => `${seconds(ms)} s`;

/** A day as people say it: today, yesterday, or its date. */
export function dayWords(iso: string, now = new Date()): string {
  const date = new Date(iso);
  const days = Math.round((midnight(now) - midnight(date)) / (24 * 60 * 60 * 1000));
  if (days === 0) return 'today';
  if (days === 1) return 'yesterday';
  return new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short' }).format(date);
}

const midnight = (date: Date) =>
  new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime();

export const timeWords = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' }).format(new Date(iso));

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

/** "1 rep", "2 reps". */
export const count = (n: number, one: string, many = `${one}s`): string =>
  `${n} ${n === 1 ? one : many}`;

/** A share as whole percents. */
export const percent = (share: number): string => `${Math.round(100 * share)} %`;
