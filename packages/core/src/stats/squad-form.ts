import { median } from '../numeric/index.js';
import { daysOfRungs, groupBy, kindOf, likenessOf, type CourseSet } from './course.js';
import { ownDayForm, squadDayForm, type DayForm, type UsualDayForm } from './day-form.js';
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

/** What one athlete's course gives to the form of a squad. */
export interface AthleteForm {
  /** What their days show; of the kind of sets that they have most of. */
  readonly dayForm: Readonly<Partial<Record<CourseDuration, DayForm>>>;
  /** Their median times, ms, by likeness of sets and duration. */
  readonly mediansMs: ReadonlyMap<string, Readonly<Partial<Record<CourseDuration, number>>>>;
}

/** What a course, an athlete's own, gives to the form of a squad. */
export function athleteForm(course: readonly CourseSet[]): AthleteForm {
  const kinds = [...groupBy(course, kindOf).values()];
  const [largest = []] = kinds.sort((a, b) => b.length - a.length);
  const form: Partial<Record<CourseDuration, DayForm>> = {};
  for (const duration of COURSE_DURATIONS) {
    const rungs = daysOfRungs(largest, duration);
    if (rungs.length > 0) form[duration] = ownDayForm(rungs);
  }
  const mediansMs = new Map<string, Partial<Record<CourseDuration, number>>>();
  for (const [likeness, sets] of groupBy(course, likenessOf)) {
    const medians: Partial<Record<CourseDuration, number>> = {};
    for (const duration of COURSE_DURATIONS) {
      const own = sets.flatMap(({ figures }) => figures.mediansMs[duration] ?? []);
      if (own.length > 0) medians[duration] = median(own);
    }
    mediansMs.set(likeness, medians);
  }
  return { dayForm: form, mediansMs };
}

function worthwhileOf(
  athletes: readonly AthleteForm[],
): Record<string, Partial<Record<CourseDuration, number>>> {
  const alike = new Map<string, Readonly<Partial<Record<CourseDuration, number>>>[]>();
  for (const { mediansMs } of athletes)
    for (const [likeness, own] of mediansMs) {
      const all = alike.get(likeness);
      if (all) all.push(own);
      else alike.set(likeness, [own]);
    }
  const worthwhile: Record<string, Partial<Record<CourseDuration, number>>> = {};
  for (const [likeness, all] of alike)
    for (const duration of COURSE_DURATIONS) {
      const times = all.flatMap((own) => own[duration] ?? []);
      if (times.length < FEWEST_ATHLETES) continue;
      worthwhile[likeness] = {
        ...worthwhile[likeness],
        [duration]: smallestWorthwhileChange(times),
      };
    }
  return worthwhile;
}

/** What a squad's athletes together say is usual. */
export function squadFormOf(athletes: readonly AthleteForm[]): SquadForm {
  const form: Partial<Record<CourseDuration, UsualDayForm>> = {};
  for (const duration of COURSE_DURATIONS) {
    const usual = squadDayForm(athletes.flatMap(({ dayForm }) => dayForm[duration] ?? []));
    if (usual) form[duration] = usual;
  }
  return { dayForm: form, worthwhileMs: worthwhileOf(athletes) };
}

/** What a squad's courses, one an athlete, say is usual. */
export const squadForm = (courses: readonly (readonly CourseSet[])[]): SquadForm =>
  squadFormOf(courses.map(athleteForm));
