import { byDay, kindOf, type CourseSet } from './course.js';
import { COURSE_DURATIONS, type CourseDuration } from './set-figures.js';

/** An athlete's newest training days in one duration, with their limit. */
export interface ShortCourse {
  readonly duration: CourseDuration;
  /** `null` if their rung has none. */
  readonly limitMs: number | null;
  /** The median of each training day, ms, oldest first. */
  readonly daysMs: readonly number[];
}

/** As many days as can be taken in at a glance. */
const MOST_DAYS = 12;

/**
 * The newest days of the newest kind of sets, oldest set first; in the duration asked for, or the first
 * of those limited that was timed. `null` where none was.
 */
export function shortCourse(
  sets: readonly CourseSet[],
  wanted: string | null,
  limitsMs: Readonly<Partial<Record<CourseDuration, number>>>,
): ShortCourse | null {
  const newest = sets.filter(({ eased }) => !eased).at(-1);
  if (!newest) return null;
  const alike = sets.filter((set) => kindOf(set) === kindOf(newest));
  const limited = COURSE_DURATIONS.filter((name) => limitsMs[name] !== undefined);
  const asked = COURSE_DURATIONS.filter((name) => name === wanted);
  for (const duration of [...asked, ...limited, 'cycle' as const]) {
    const daysMs = byDay(alike, duration).map(({ ms }) => Math.round(ms));
    if (daysMs.length > 0)
      return { duration, limitMs: limitsMs[duration] ?? null, daysMs: daysMs.slice(-MOST_DAYS) };
  }
  return null;
}
