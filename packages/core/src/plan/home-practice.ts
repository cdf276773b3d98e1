import { mondayOf, weekOf, type Programme, type ProgrammeWeek } from './weeks.js';

/** Fewest and most minutes that somebody practises at a time. */
export const PRACTICE_MINUTES = [1, 240] as const;

/** What somebody practised without the coach on a day. */
export interface Practised {
  readonly athleteId: string;
  /** YYYY-MM-DD. */
  readonly day: string;
  readonly minutes: number;
}

/** Minutes that somebody practised at home in the week of a day. */
export const practisedInWeek = (
  practised: readonly Practised[],
  athleteId: string,
  day: string,
): number =>
  practised
    .filter((one) => one.athleteId === athleteId && mondayOf(one.day) === mondayOf(day))
    .reduce((sum, { minutes }) => sum + minutes, 0);

/** Short and often does more than long and seldom, min. */
const MOST_A_DAY = 15;
/** A day of rest stays. */
const MOST_DAYS = 6;

/** The week of a programme that somebody is in on a day; of several the newest; `null` in none. */
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

/** Minutes of a week's practice at home over its days, as evenly as whole minutes go; long days are none. */
export function overDays(minutes: number): { readonly days: number; readonly minutes: number } {
  const days = Math.max(1, Math.min(MOST_DAYS, Math.ceil(minutes / MOST_A_DAY)));
  return { days, minutes: Math.ceil(minutes / days) };
}
