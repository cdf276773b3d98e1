import { isItBetter, type NotComparable } from './better.js';
import type { Change } from './change.js';
import {
  groupBy,
  kindOf,
  leansByDay,
  likenessOf,
  standardTest,
  type CourseSet,
  DAY_MS,
} from './course.js';
import type { CourseDuration } from './set-figures.js';
import { leansOver, type LeanChange, type SideLean } from './side-lean.js';
import { NO_SQUAD, type SquadForm } from './squad-form.js';

/** Two spans of an athlete's sets to compare, and why these. */
export interface Spans {
  readonly before: readonly CourseSet[];
  readonly after: readonly CourseSet[];
  readonly basis: 'the standard test' | 'first and last weeks';
}

/** The first and the last third of some sets' days, at least one day each. */
function thirds(sets: readonly CourseSet[]): Pick<Spans, 'before' | 'after'> {
  const days = [...groupBy(sets, ({ day }) => day)].sort(([a], [b]) => a.localeCompare(b));
  const third = Math.max(1, Math.floor(days.length / 3));
  const setsOf = (some: typeof days) => some.flatMap(([, own]) => own);
  return {
    before: setsOf(days.slice(0, third)),
    after: setsOf(days.slice(Math.max(third, days.length - third))),
  };
}

/**
 * The spans to ask "is it better?" about when nobody chose any: the first and the last day of the
 * standard test where there is one, else the first and last third of the days of the newest kind of
 * sets; of the newest rung where the athlete has climbed so far that those share none.
 */
export function usualSpans(sets: readonly CourseSet[]): Spans {
  const tests = standardTest(sets);
  const [first, last] = [tests[0], tests.at(-1)];
  if (first && last)
    return {
      before: tests.filter(({ day }) => day === first.day),
      after: tests.filter(({ day }) => day === last.day),
      basis: 'the standard test',
    };
  const newest = sets.at(-1);
  const alike = newest ? sets.filter((set) => kindOf(set) === kindOf(newest)) : [];
  const ofKind = thirds(alike);
  const likeness = new Set(ofKind.before.map(likenessOf));
  const spans = ofKind.after.some((set) => likeness.has(likenessOf(set)))
    ? ofKind
    : thirds(alike.filter(({ rung }) => rung === newest?.rung));
  return { ...spans, basis: 'first and last weeks' };
}

/** An athlete's standing, from the sets of recent weeks. */
export interface Standing {
  readonly duration: CourseDuration;
  readonly basis: Spans['basis'];
  /** `null` if nothing can be compared; see `whyNot`. */
  readonly change: Change | null;
  readonly whyNot: NotComparable | null;
  /** The newest set of either span, for links. */
  readonly beforeSetId: string | null;
  readonly afterSetId: string | null;
  /** Over all days of the newest kind of sets, and how the newest days differ from earlier ones. */
  readonly lean: SideLean | null;
  readonly leanChange: LeanChange | null;
  readonly lastTimedMs: number | null;
}

const DURATION: CourseDuration = 'cycle';

/** Athletes not timed for longer than this are listed as not seen lately. */
export const LATELY_DAYS = 10;

/** Whether an athlete was not timed for more than {@link LATELY_DAYS}, or never. */
export const isNotSeenLately = (
  { lastTimedMs }: Pick<Standing, 'lastTimedMs'>,
  nowMs: number,
): boolean => lastTimedMs === null || nowMs - lastTimedMs > LATELY_DAYS * DAY_MS;

/** The lean of the newest kind of sets, and its change. */
export function leanOf(sets: readonly CourseSet[]): Pick<Standing, 'lean' | 'leanChange'> {
  const newest = sets.at(-1);
  const kind = newest && kindOf(newest);
  return leansOver(leansByDay(sets.filter((set) => kindOf(set) === kind)));
}

/**
 * An athlete's standing.
 * @param sets oldest first
 */
export function standingOf(sets: readonly CourseSet[], squad: SquadForm = NO_SQUAD): Standing {
  const { before, after, basis } = usualSpans(sets);
  const better = isItBetter(before, after, sets, DURATION, squad);
  const isCompared = typeof better !== 'string';
  return {
    duration: DURATION,
    basis,
    change: isCompared ? better.change : null,
    whyNot: isCompared ? null : better,
    beforeSetId: (isCompared ? better.before : before).at(-1)?.setId ?? null,
    afterSetId: (isCompared ? better.after : after).at(-1)?.setId ?? null,
    ...leanOf(sets),
    lastTimedMs: sets.at(-1)?.atMs ?? null,
  };
}
