import { seededRandom } from '../cue/index.js';
import { medianInPlace } from '../numeric/index.js';
import { bootstrapInterval } from './bootstrap.js';
import { isItBetter, kindOf, standardTest, type Better, type CourseSet } from './course.js';
import { contains, type Interval } from './interval.js';
import type { CourseDuration } from './set-figures.js';

/** Two spans of an athlete's sets that are held against each other, and why these. */
export interface Spans {
  readonly before: readonly CourseSet[];
  readonly after: readonly CourseSet[];
  readonly basis: 'the standard test' | 'first and last weeks';
}

/**
 * The spans to ask "is it better?" about when nobody chose any: the first and the last run of the
 * standard test where there is one, else the first and last third of the newest kind of sets.
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
  const third = Math.max(1, Math.floor(alike.length / 3));
  return {
    before: alike.slice(0, third),
    after: alike.slice(Math.max(third, alike.length - third)),
    basis: 'first and last weeks',
  };
}

/** One side slower than the other over the newest sets. */
export interface SideDrift {
  /** Median of the sets' asymmetries, percent; above 0 the left takes longer. */
  readonly percent: number;
  readonly interval: Interval;
  readonly sets: number;
  /** The newest sets leave zero out, and the sets before them did not lean the same way. */
  readonly isNew: boolean;
}

const RECENT_SETS = 6;
const FEWEST_SETS = 4;
const RESAMPLES = 400;
/** A lean smaller than this is nothing a coach would see or treat, percent. */
const LEAST_PERCENT = 3;

const leanOf = (sets: readonly CourseSet[]) => {
  const percents = sets.flatMap(({ figures }) => figures.sidesPercent ?? []);
  if (percents.length < FEWEST_SETS) return null;
  const settings = { resamples: RESAMPLES, random: seededRandom(percents.length) };
  const interval = bootstrapInterval(percents, medianInPlace, settings);
  return interval && { percent: medianInPlace(Float64Array.from(percents)), interval };
};

/** Asymmetry of the newest sets and whether it is new; `null` with too few sets that have sides. */
export function sideDrift(sets: readonly CourseSet[]): SideDrift | null {
  const sided = sets.filter(({ figures }) => figures.sidesPercent !== null);
  const now = leanOf(sided.slice(-RECENT_SETS));
  if (!now) return null;
  const then = leanOf(sided.slice(0, -RECENT_SETS));
  const leans = ({ percent, interval }: Pick<SideDrift, 'percent' | 'interval'>) =>
    !contains(interval, 0) && Math.abs(percent) >= LEAST_PERCENT;
  const sameBefore =
    then !== null && leans(then) && Math.sign(then.percent) === Math.sign(now.percent);
  return {
    ...now,
    sets: Math.min(RECENT_SETS, sided.length),
    isNew: leans(now) && then !== null && !sameBefore,
  };
}

/** How an athlete stands, from the sets of some weeks. */
export interface Standing {
  readonly duration: CourseDuration;
  readonly basis: Spans['basis'];
  /** `null` where nothing can be compared; `whyNot` then says why. */
  readonly better: Pick<Better, 'change'> | null;
  readonly whyNot: string | null;
  /** The newest sets of either span, to open. */
  readonly beforeSetId: string | null;
  readonly afterSetId: string | null;
  readonly sides: SideDrift | null;
  readonly lastTimedMs: number | null;
}

const DURATION: CourseDuration = 'cycle';

/** Where an athlete stands; `sets` oldest first. */
export function standingOf(sets: readonly CourseSet[]): Standing {
  const { before, after, basis } = usualSpans(sets);
  const better = isItBetter(before, after, sets, DURATION);
  const newest = sets.at(-1);
  const kind = newest && kindOf(newest);
  return {
    duration: DURATION,
    basis,
    better: better.ok ? { change: better.value.change } : null,
    whyNot: better.ok ? null : `${better.problem.given}; needs ${better.problem.allowed}`,
    beforeSetId: (better.ok ? better.value.before : before).at(-1)?.setId ?? null,
    afterSetId: (better.ok ? better.value.after : after).at(-1)?.setId ?? null,
    sides: sideDrift(sets.filter((set) => kindOf(set) === kind)),
    lastTimedMs: newest?.atMs ?? null,
  };
}
