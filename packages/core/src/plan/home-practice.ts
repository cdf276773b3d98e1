import type { Pattern } from '../pattern/index.js';
import { mondayOf, weekOf, type Programme, type ProgrammeWeek } from './weeks.js';

/** Free floor round the outermost markers, so that nobody runs into anything, m. */
const RUN_OFF_M = 1;

/** Short and often does more than long and seldom, min. */
const MOST_A_DAY = 15;
/** A day of rest stays. */
const MOST_DAYS = 6;

/** The floor that a pattern needs with a free run-off round its markers, m. */
export function spaceNeeded({ home, targets }: Pick<Pattern, 'home' | 'targets'>): {
  readonly acrossM: number;
  readonly deepM: number;
} {
  const spots = [{ at: { x: 0, y: 0 }, radiusM: home.radiusM }, ...targets];
  const span = (axis: 'x' | 'y'): number =>
    Math.max(...spots.map(({ at, radiusM }) => at[axis] + radiusM)) -
    Math.min(...spots.map(({ at, radiusM }) => at[axis] - radiusM));
  return { acrossM: span('x') + 2 * RUN_OFF_M, deepM: span('y') + 2 * RUN_OFF_M };
}

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
