import { median } from '../numeric/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { changeBetween, OWN_WORTHWHILE_SHARE, typicalError, type Change } from './change.js';
import { kendall, type Kendall } from './kendall.js';
import type { CourseDuration, SetFigures } from './set-figures.js';

/** A set as a point of an athlete's course. */
export interface CourseSet {
  readonly setId: string;
  /** ms since 1970. */
  readonly atMs: number;
  /** Calendar day, `YYYY-MM-DD`. */
  readonly day: string;
  readonly patternId: string;
  readonly patternVersion: number;
  readonly rung: number;
  readonly source: string;
  readonly sense: 'heard' | 'seen';
  readonly seed: number;
  readonly figures: SetFigures;
}

/** Sets with the same kind may be held against each other: pattern version, source and sense. */
export const kindOf = ({ patternId, patternVersion, source, sense }: CourseSet): string =>
  [patternId, patternVersion, source, sense].join(' ');

/** Sets alike in everything that changes their times but the athlete: also the rung. */
export const likenessOf = (set: CourseSet): string => `${kindOf(set)} ${set.rung}`;

const DAY_MS = 24 * 60 * 60 * 1000;
/** Sets further apart than this are no repeat of each other: too much was learnt between. */
const REPEAT_WITHIN_MS = 8 * DAY_MS;
export const FEWEST_REPEATS = 4;

const valueOf = ({ figures }: CourseSet, duration: CourseDuration): number =>
  figures.mediansMs[duration] ?? NaN;

/** Things in groups, in the order in which the first of each group came. */
export const groupBy = <T>(items: readonly T[], keyOf: (item: T) => string): Map<string, T[]> => {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    const own = groups.get(key);
    if (own) own.push(item);
    else groups.set(key, [item]);
  }
  return groups;
};

/** Test and retest of an athlete: sets alike that follow each other within eight days. */
export function repeats(
  sets: readonly CourseSet[],
  duration: CourseDuration,
): { readonly test: readonly number[]; readonly retest: readonly number[] } {
  const test: number[] = [];
  const retest: number[] = [];
  for (const alike of groupBy(sets, likenessOf).values()) {
    const timed = alike
      .filter((set) => Number.isFinite(valueOf(set, duration)))
      .sort((a, b) => a.atMs - b.atMs);
    for (const [i, later] of timed.entries()) {
      const earlier = timed[i - 1];
      if (!earlier || later.atMs - earlier.atMs > REPEAT_WITHIN_MS) continue;
      test.push(valueOf(earlier, duration));
      retest.push(valueOf(later, duration));
    }
  }
  return { test, retest };
}

export interface Better {
  readonly change: Change;
  /** The sets held against each other, alike in everything. */
  readonly before: readonly CourseSet[];
  readonly after: readonly CourseSet[];
  readonly typicalErrorMs: number;
  /** Repeats the typical error comes from. */
  readonly repeats: number;
  /** Where the worthwhile change comes from. */
  readonly worthwhileFrom: 'the squad' | 'the athlete';
}

/**
 * Is it better? Sets of two spans held against each other, only those alike (pattern version, rung,
 * source, sense); of several such groups the one with most sets in the poorer span. `all` are the
 * athlete's sets, out of which the typical error comes; `worthwhileMs` the smallest worthwhile
 * change where the squad's spread is known.
 */
export function isItBetter(
  before: readonly CourseSet[],
  after: readonly CourseSet[],
  all: readonly CourseSet[],
  duration: CourseDuration,
  worthwhileMs: number | null = null,
): Result<Better> {
  const timed = (sets: readonly CourseSet[]) =>
    groupBy(
      sets.filter((set) => Number.isFinite(valueOf(set, duration))),
      likenessOf,
    );
  const [early, late] = [timed(before), timed(after)];
  const shared = [...early.keys()]
    .flatMap((key) => {
      const [b, a] = [early.get(key), late.get(key)];
      return b && a ? [{ before: b, after: a }] : [];
    })
    .sort(
      (x, y) =>
        Math.min(y.before.length, y.after.length) - Math.min(x.before.length, x.after.length),
    );
  const [best] = shared;
  if (!best)
    return wrong(
      'spans',
      'no two sets alike',
      'a set in each with the same pattern version, rung, timing and kind of cue',
    );
  const [first] = best.before as [CourseSet, ...CourseSet[]];
  const kind = kindOf(first);
  const { test, retest } = repeats(
    all.filter((set) => kindOf(set) === kind),
    duration,
  );
  if (test.length < FEWEST_REPEATS)
    return wrong('repeats', test.length, `at least ${FEWEST_REPEATS} sets repeated within 8 days`);
  const error = typicalError(test, retest);
  return ok({
    ...best,
    change: changeBetween(
      best.before.map((set) => valueOf(set, duration)),
      best.after.map((set) => valueOf(set, duration)),
      error,
      worthwhileMs ?? OWN_WORTHWHILE_SHARE * error,
    ),
    typicalErrorMs: error,
    repeats: test.length,
    worthwhileFrom: worthwhileMs === null ? 'the athlete' : 'the squad',
  });
}

/** The same test run on different days: same seed, and alike. Oldest first; the newest such test. */
export function standardTest(sets: readonly CourseSet[]): readonly CourseSet[] {
  const tests = [...groupBy(sets, (set) => `${likenessOf(set)} ${set.seed}`).values()].filter(
    (group) => new Set(group.map(({ day }) => day)).size > 1,
  );
  const newest = (group: readonly CourseSet[]) => Math.max(...group.map(({ atMs }) => atMs));
  const [latest = []] = tests.sort((a, b) => newest(b) - newest(a));
  return [...latest].sort((a, b) => a.atMs - b.atMs);
}

/** One point a training day of sets alike: its number among those days, from 1, and the median. */
export function byDay(
  sets: readonly CourseSet[],
  duration: CourseDuration,
): { readonly day: string; readonly session: number; readonly ms: number }[] {
  const timed = sets.filter((set) => Number.isFinite(valueOf(set, duration)));
  const days = [...groupBy(timed, ({ day }) => day)].sort(([a], [b]) => a.localeCompare(b));
  return days.map(([day, own], i) => ({
    day,
    session: i + 1,
    ms: median(own.map((set) => valueOf(set, duration))),
  }));
}

/**
 * Whether speed is bought with technique: cycle times and shares of clean reps of the same sets,
 * rank against rank. A tau above 0 says that the slower sets were the cleaner ones.
 */
export function speedAgainstTechnique(sets: readonly CourseSet[]): Kendall {
  const timed = sets.filter(
    (set) => Number.isFinite(valueOf(set, 'cycle')) && set.figures.cued > 0,
  );
  return kendall(
    timed.map((set) => valueOf(set, 'cycle')),
    timed.map(({ figures }) => figures.clean / figures.cued),
  );
}
