import { mean, median } from '../numeric/index.js';

/** A training day: its calendar day number, and its sets' medians, ms. */
export interface TrainingDay {
  readonly day: number;
  readonly setsMs: readonly number[];
}

/** An estimated variance, ms², with its degrees of freedom. */
export interface Variance {
  readonly ms2: number;
  readonly df: number;
}

/** A usual day form, as a share of the median time, with its degrees of freedom. */
export interface UsualDayForm {
  readonly share: number;
  readonly df: number;
}

/** The prior without a squad. */
export const USUAL_DAY_FORM: UsualDayForm = { share: 0.02, df: 4 };

/** The prior for the scatter of sets within a day. */
const USUAL_SET_SCATTER: UsualDayForm = { share: 0.02, df: 2 };

/** Days farther apart say nothing about day form, because too much is learnt between them. */
const FOLLOWING_WITHIN_DAYS = 8;

/** How much an athlete's sets and days vary without learning. */
export interface DayForm {
  /** Median of all sets, ms. */
  readonly medianMs: number;
  /** From set to set of one day. */
  readonly within: Variance;
  /** From day to day. */
  readonly between: Variance;
}

/** Averages an estimate and a prior by their degrees of freedom. */
function heldToward(found: Variance, usualMs: number, usualDf: number): Variance {
  const df = found.df + usualDf;
  return { ms2: (found.df * found.ms2 + usualDf * usualMs ** 2) / df, df };
}

/** Pooled variance of sets around the mean of their day. */
function withinDays(days: readonly TrainingDay[]): Variance {
  let squares = 0;
  let df = 0;
  for (const { setsMs } of days) {
    const centre = mean(setsMs);
    for (const ms of setsMs) squares += (ms - centre) ** 2;
    df += setsMs.length - 1;
  }
  return { ms2: df > 0 ? squares / df : 0, df };
}

interface Following {
  readonly differenceMs: number;
  /** 1/n + 1/n′ for the numbers of sets of two days. */
  readonly thinness: number;
}

function following(days: readonly TrainingDay[]): Following[] {
  return days.slice(1).flatMap((later, i) => {
    const earlier = days[i] as TrainingDay;
    return later.day - earlier.day > FOLLOWING_WITHIN_DAYS
      ? []
      : [
          {
            differenceMs: mean(later.setsMs) - mean(earlier.setsMs),
            thinness: 1 / earlier.setsMs.length + 1 / later.setsMs.length,
          },
        ];
  });
}

/**
 * Variance from day to day out of the differences of following days: a steady learning is alike in
 * all of them and drops out. It may come out below 0. Following differences share a day, so they
 * are worth two thirds of their number (von Neumann 1941).
 */
function betweenDays(rungs: readonly (readonly TrainingDay[])[], withinMs2: number): Variance {
  let [squares, weight, df] = [0, 0, 0];
  const thinness: number[] = [];
  for (const days of rungs) {
    const pairs = following(days);
    const m = pairs.length;
    if (m < 2) continue;
    const centre = mean(pairs.map(({ differenceMs }) => differenceMs));
    for (const { differenceMs } of pairs) squares += (differenceMs - centre) ** 2;
    weight += m - 1 / m;
    df += (2 * (m - 1)) / 3;
    thinness.push(...pairs.map((pair) => pair.thinness));
  }
  return df === 0
    ? { ms2: 0, df }
    : { ms2: (squares / weight - withinMs2 * mean(thinness)) / 2, df };
}

/**
 * What an athlete's own days show, from the days of each rung, in order; all sets of one pattern version, source and
 * sense. Only the scatter within a day is held toward what is usual: the variance between days may come out below 0,
 * and has 0 degrees of freedom where days do not follow each other.
 */
export function ownDayForm(rungs: readonly (readonly TrainingDay[])[]): DayForm {
  const days = rungs.flat();
  const medianMs = median(days.flatMap(({ setsMs }) => setsMs));
  const scatter = USUAL_SET_SCATTER;
  const within = heldToward(withinDays(days), scatter.share * medianMs, scatter.df);
  return { medianMs, within, between: betweenDays(rungs, within.ms2) };
}

/**
 * An athlete's day form from the days of each rung, in order; all sets of one pattern version,
 * source and sense. What is found is held toward what is `usual`, so that a few days do not pass for
 * knowledge.
 */
export function dayForm(
  rungs: readonly (readonly TrainingDay[])[],
  usual: UsualDayForm = USUAL_DAY_FORM,
): DayForm {
  const { medianMs, within, between } = ownDayForm(rungs);
  const own = { ...between, ms2: Math.max(0, between.ms2) };
  return { medianMs, within, between: heldToward(own, usual.share * medianMs, usual.df) };
}

/** The fewest athletes of a squad that give a prior. */
const FEWEST_ATHLETES = 5;
/** The most degrees of freedom of a squad's prior, however large: other weeks have another form. */
const MOST_DF = 20;

/**
 * The day form usual in a squad, pooled over what its athletes' own days show (`ownDayForm`) as a share of each one's
 * median. `null` with fewer than five who show any.
 */
export function squadDayForm(athletes: readonly DayForm[]): UsualDayForm | null {
  const shown = athletes.filter(({ between }) => between.df > 0);
  if (shown.length < FEWEST_ATHLETES) return null;
  let [squares, df] = [0, 0];
  for (const { medianMs, between } of shown) {
    squares += (between.df * between.ms2) / medianMs ** 2;
    df += between.df;
  }
  return { share: Math.sqrt(Math.max(0, squares / df)), df: Math.min(MOST_DF, df) };
}
