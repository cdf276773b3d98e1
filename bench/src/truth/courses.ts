import { normal, type Random } from '@orthokin/core/cue';
import type { CourseSet } from '@orthokin/core/stats';

/** How an athlete's made-up sets come about; shares are of the median time. */
export interface Made {
  readonly days: number;
  readonly setsADay: number;
  /** Sd of a day's own form, and of sets within a day. */
  readonly form: number;
  readonly scatter: number;
  /** True change of the later half of the days, as a share; 0 for who did not change. */
  readonly change: number;
  /** Sd of a day's own lean to one side, and of a set's; true lean; percent. */
  readonly leanForm: number;
  readonly leanScatter: number;
  readonly lean: number;
  /** Lean of the last four days instead, percent. */
  readonly newLean: number;
}

const MEDIAN_MS = 1800;
const DAY_MS = 86_400_000;
/** Twice a week. */
const EVERY_DAYS = 3.5;
const BEGIN_MS = Date.UTC(2026, 0, 5, 18);
const NEWEST_DAYS = 4;

const NO_FIGURES = {
  ...{ counted: 12, cued: 12, falseStarts: 0, clean: 12, catchHeld: 0, catchOf: 0 },
};

/** The sets of one athlete, whose own median differs from the others' by a tenth. */
export function madeCourse(made: Made, random: Random): CourseSet[] {
  const own = MEDIAN_MS * (1 + normal(random, 0, 0.1));
  const sets: CourseSet[] = [];
  for (let day = 0; day < made.days; day++) {
    const isLate = day >= made.days / 2;
    const dayMs = own * (1 + normal(random, 0, made.form) + (isLate ? made.change : 0));
    const isNewest = day >= made.days - NEWEST_DAYS;
    const dayLean = (isNewest ? made.newLean : made.lean) + normal(random, 0, made.leanForm);
    const dayAt = BEGIN_MS + Math.floor(day * EVERY_DAYS) * DAY_MS;
    for (let n = 0; n < made.setsADay; n++)
      sets.push({
        setId: `${day}-${n}`,
        atMs: dayAt + n * 600_000,
        day: new Date(dayAt).toISOString().slice(0, 10),
        ...{ patternId: 'made', patternVersion: 1, rung: 1, source: 'sensor', sense: 'seen' },
        seed: sets.length,
        figures: {
          ...NO_FIGURES,
          mediansMs: { cycle: dayMs + own * normal(random, 0, made.scatter) },
          sidesPercent: dayLean + normal(random, 0, made.leanScatter),
        },
      });
  }
  return sets;
}
