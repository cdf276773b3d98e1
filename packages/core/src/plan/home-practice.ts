import { mondayOf, weekOf, type Programme, type ProgrammeWeek } from './weeks.js';

/** Bounds of minutes practised at a time. */
export const PRACTICE_MINUTES = [1, 240] as const;

/** Practice without the coach on a day. */
export interface Practised {
  readonly athleteId: string;
  /** YYYY-MM-DD. */
  readonly day: string;
  readonly minutes: number;
}

/** Minutes an athlete practised at home in the week of a day. */
export const practisedInWeek = (
  practised: readonly Practised[],
  athleteId: string,
  day: string,
): number =>
  practised
    .filter((one) => one.athleteId === athleteId && mondayOf(one.day) === mondayOf(day))
    .reduce((sum, { minutes }) => sum + minutes, 0);

/** The most minutes suggested for a day: short and often is better than long and seldom. */
const MOST_A_DAY = 15;
/** The most days suggested in a week, which leaves a day of rest. */
const MOST_DAYS = 6;

/** The programme week an athlete is in on a day; of several programmes the newest; `null` if in none. */
export function weekAtHome(
  programmes: readonly Programme[],
  athleteId: string,
  day: string,
): (ProgrammeWeek & { readonly monday: string }) | null {
  const [newest] = programmes
    .filter(({ athleteIds }) => athleteIds.includes(athleteId))
    .filter((programme) => weekOf(programme, day) !== null)
    .sort((one, other) => other.startsOn.localeCompare(one.startsOn));
  const week = newest?.weeks[weekOf(newest, day) ?? -1];
  return week ? { ...week, monday: mondayOf(day) } : null;
}

/** Spreads a week's minutes at home over days, evenly and without long days. */
export function overDays(minutes: number): { readonly days: number; readonly minutes: number } {
  const days = Math.max(1, Math.min(MOST_DAYS, Math.ceil(minutes / MOST_A_DAY)));
  return { days, minutes: Math.ceil(minutes / days) };
}
