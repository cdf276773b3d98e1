import { median } from '../numeric/index.js';
import { daysOfRungs, groupBy, kindOf, likenessOf, type CourseSet } from './course.js';
import { ownDayForm, squadDayForm, type DayForm, type UsualDayForm } from './day-form.js';
import { COURSE_DURATIONS, type CourseDuration } from './set-figures.js';
import { smallestWorthwhileChange } from './typical-error.js';

/** What a squad says about its athletes: the usual day form, and the worthwhile change. */
export interface SquadForm {
  /** The usual day form by duration; absent with fewer than five athletes who show any. */
  readonly dayForm: Readonly<Partial<Record<CourseDuration, UsualDayForm>>>;
  /** The smallest worthwhile change, ms, by likeness of sets and duration; absent with fewer than five athletes. */
  readonly worthwhileMs: Readonly<
    Partial<Record<string, Readonly<Partial<Record<CourseDuration, number>>>>>
  >;
}

/** The form without a squad. */
export const NO_SQUAD: SquadForm = { dayForm: {}, worthwhileMs: {} };

const FEWEST_ATHLETES = 5;

/** An athlete's contribution to a squad's form. */
export interface AthleteForm {
  /** Their own day form, from the kind of sets with most days. */
  readonly dayForm: Readonly<Partial<Record<CourseDuration, DayForm>>>;
  /** Their median times, ms, by likeness of sets and duration. */
  readonly mediansMs: ReadonlyMap<string, Readonly<Partial<Record<CourseDuration, number>>>>;
}

/** An athlete's contribution, from their course. */
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

/** Pools the contributions of a squad's athletes. */
export function squadFormOf(athletes: readonly AthleteForm[]): SquadForm {
  const form: Partial<Record<CourseDuration, UsualDayForm>> = {};
  for (const duration of COURSE_DURATIONS) {
    const usual = squadDayForm(athletes.flatMap(({ dayForm }) => dayForm[duration] ?? []));
    if (usual) form[duration] = usual;
  }
  return { dayForm: form, worthwhileMs: worthwhileOf(athletes) };
}

/** A squad's form from its athletes' courses. */
export const squadForm = (courses: readonly (readonly CourseSet[])[]): SquadForm =>
  squadFormOf(courses.map(athleteForm));
