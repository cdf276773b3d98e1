import { median } from '../numeric/index.js';
import { daysOfRungs, groupBy, kindOf, likenessOf, type CourseSet } from './course.js';
import { squadDayForm, type UsualDayForm } from './day-form.js';
import { COURSE_DURATIONS, type CourseDuration } from './set-figures.js';
import { smallestWorthwhileChange } from './typical-error.js';

/** What a squad says of one of its athletes: what is usual, and what is worth having. */
export interface SquadForm {
  /** A day's own form by duration; missing with fewer than five athletes who show any. */
  readonly dayForm: Readonly<Partial<Record<CourseDuration, UsualDayForm>>>;
  /** The smallest worthwhile change, ms, by likeness of sets and duration; of five athletes on. */
  readonly worthwhileMs: Readonly<
    Partial<Record<string, Readonly<Partial<Record<CourseDuration, number>>>>>
  >;
}

/** Nothing is known of a squad. */
export const NO_SQUAD: SquadForm = { dayForm: {}, worthwhileMs: {} };

const FEWEST_ATHLETES = 5;

function worthwhileOf(
  courses: readonly (readonly CourseSet[])[],
): Record<string, Partial<Record<CourseDuration, number>>> {
  const alike = new Map<string, (readonly CourseSet[])[]>();
  for (const course of courses)
    for (const [likeness, own] of groupBy(course, likenessOf))
      alike.set(likeness, [...(alike.get(likeness) ?? []), own]);
  const worthwhile: Record<string, Partial<Record<CourseDuration, number>>> = {};
  for (const [likeness, athletes] of alike) {
    if (athletes.length < FEWEST_ATHLETES) continue;
    for (const duration of COURSE_DURATIONS) {
      const times = athletes.flatMap((sets) => {
        const own = sets.flatMap(({ figures }) => figures.mediansMs[duration] ?? []);
        return own.length > 0 ? [median(own)] : [];
      });
      if (times.length < FEWEST_ATHLETES) continue;
      worthwhile[likeness] = {
        ...worthwhile[likeness],
        [duration]: smallestWorthwhileChange(times),
      };
    }
  }
  return worthwhile;
}

/** What a squad's courses, one an athlete, say is usual. */
export function squadForm(courses: readonly (readonly CourseSet[])[]): SquadForm {
  const kinds = courses.map((course) => [...groupBy(course, kindOf).values()]);
  const form: Partial<Record<CourseDuration, UsualDayForm>> = {};
  for (const duration of COURSE_DURATIONS) {
    // Where an athlete has sets of several kinds, the largest one speaks for them.
    const athletes = kinds.flatMap((own) => {
      const [largest] = [...own].sort((a, b) => b.length - a.length);
      const rungs = largest ? daysOfRungs(largest, duration) : [];
      return rungs.length > 0 ? [rungs] : [];
    });
    const usual = squadDayForm(athletes);
    if (usual) form[duration] = usual;
  }
  return { dayForm: form, worthwhileMs: worthwhileOf(courses) };
}
