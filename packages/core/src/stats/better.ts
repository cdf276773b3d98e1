import { changeBetween, ownWorthwhileChange, type Change } from './change.js';
import {
  daysOfRungs,
  groupBy,
  kindOf,
  likenessOf,
  timed,
  trainingDays,
  type CourseSet,
} from './course.js';
import { dayForm, type DayForm } from './day-form.js';
import type { CourseDuration } from './set-figures.js';
import { NO_SQUAD, type SquadForm } from './squad-form.js';

/** Why two spans cannot be compared. */
export type NotComparable = 'no sets alike' | 'a day in both';

/** Whether an athlete got better, what was compared, and what that rests on. */
export interface Better {
  readonly change: Change;
  /** The compared sets, alike in everything that matters. */
  readonly before: readonly CourseSet[];
  readonly after: readonly CourseSet[];
  readonly form: DayForm;
  /** Where the worthwhile change comes from, and the prior of the day form. */
  readonly worthwhileFrom: 'the squad' | 'the athlete';
  readonly formFrom: 'the squad' | 'what is usual';
}

/**
 * Is it better? Days of two spans held against each other, only sets alike (pattern version, rung,
 * source, sense); of several such groups the one with most days in the poorer span. `all` are the
 * athlete's sets, out of which the day form comes; `squad` what the others say is usual.
 */
export function isItBetter(
  before: readonly CourseSet[],
  after: readonly CourseSet[],
  all: readonly CourseSet[],
  duration: CourseDuration,
  squad: SquadForm = NO_SQUAD,
): Better | NotComparable {
  const days = (sets: readonly CourseSet[]) => new Set(sets.map(({ day }) => day));
  if ([...days(before)].some((day) => days(after).has(day))) return 'a day in both';
  const [early, late] = [before, after].map((sets) => groupBy(timed(sets, duration), likenessOf));
  const poorer = (spans: { before: CourseSet[]; after: CourseSet[] }) =>
    Math.min(days(spans.before).size, days(spans.after).size);
  const [best] = [...(early ?? [])]
    .flatMap(([key, own]) => {
      const later = late?.get(key);
      return later ? [{ before: own, after: later }] : [];
    })
    .sort((x, y) => poorer(y) - poorer(x));
  const [first] = best?.before ?? [];
  if (!best || !first) return 'no sets alike';
  const kind = kindOf(first);
  const usual = squad.dayForm[duration];
  const form = dayForm(
    daysOfRungs(
      all.filter((set) => kindOf(set) === kind),
      duration,
    ),
    usual,
  );
  const worthwhileMs = squad.worthwhileMs[likenessOf(first)]?.[duration];
  return {
    ...best,
    change: changeBetween(
      trainingDays(best.before, duration),
      trainingDays(best.after, duration),
      form,
      worthwhileMs ?? ownWorthwhileChange(form),
    ),
    form,
    worthwhileFrom: worthwhileMs === undefined ? 'the athlete' : 'the squad',
    formFrom: usual ? 'the squad' : 'what is usual',
  };
}
