import { mean, median } from '../numeric/index.js';
import type { TrainingDay } from './day-form.js';
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
  /** Whether it asked less than its rung. */
  readonly eased?: boolean;
  readonly figures: SetFigures;
}

/**
 * Sets with the same kind may be held against each other: pattern version, source and sense. Those that
 * asked less than their rung are a kind of their own.
 */
export const kindOf = ({ patternId, patternVersion, source, sense, eased }: CourseSet): string =>
  [patternId, patternVersion, source, sense, ...(eased ? ['eased'] : [])].join(' ');

/** Sets alike in everything that affects their times except the athlete, rung included. */
export const likenessOf = (set: CourseSet): string => `${kindOf(set)} ${set.rung}`;

/** Groups items by key, in order of first occurrence. */
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

/** A calendar day, ms. */
export const DAY_MS = 86_400_000;

/** The number of a calendar day `YYYY-MM-DD`, counted from a fixed day. */
export const dayNumber = (day: string): number =>
  Math.round(Date.parse(`${day}T00:00:00Z`) / DAY_MS);

const valueOf = ({ figures }: CourseSet, duration: CourseDuration): number =>
  figures.mediansMs[duration] ?? NaN;

/** Sets in which a duration was timed. */
export const timed = (sets: readonly CourseSet[], duration: CourseDuration): CourseSet[] =>
  sets.filter((set) => Number.isFinite(valueOf(set, duration)));

/** The training days of some sets, in order; sets in which the duration was not timed are left out. */
export const trainingDays = (sets: readonly CourseSet[], duration: CourseDuration): TrainingDay[] =>
  [...groupBy(timed(sets, duration), ({ day }) => day)]
    .map(([day, own]) => ({
      day: dayNumber(day),
      setsMs: own.map((set) => valueOf(set, duration)),
    }))
    .sort((a, b) => a.day - b.day);

/** The training days of each rung: what a day form is worked out from. `sets` are of one kind. */
export const daysOfRungs = (
  sets: readonly CourseSet[],
  duration: CourseDuration,
): TrainingDay[][] =>
  [...groupBy(timed(sets, duration), likenessOf).values()].map((own) =>
    trainingDays(own, duration),
  );

/** The same test run on different days: same seed, and alike. Oldest first; the newest such test. */
export function standardTest(sets: readonly CourseSet[]): readonly CourseSet[] {
  const tests = [...groupBy(sets, (set) => `${likenessOf(set)} ${set.seed}`).values()].filter(
    (group) => new Set(group.map(({ day }) => day)).size > 1,
  );
  const newest = (group: readonly CourseSet[]) => Math.max(...group.map(({ atMs }) => atMs));
  const [latest = []] = tests.sort((a, b) => newest(b) - newest(a));
  return [...latest].sort((a, b) => a.atMs - b.atMs);
}

/** The median of each training day of sets alike, numbered from 1. */
export function byDay(
  sets: readonly CourseSet[],
  duration: CourseDuration,
): { readonly day: string; readonly session: number; readonly ms: number }[] {
  const days = [...groupBy(timed(sets, duration), ({ day }) => day)].sort(([a], [b]) =>
    a.localeCompare(b),
  );
  return days.map(([day, own], i) => ({
    day,
    session: i + 1,
    ms: median(own.map((set) => valueOf(set, duration))),
  }));
}

/** Asymmetries of the sets of each day, percent, in the order of days; sets without sides left out. */
export const leansByDay = (sets: readonly CourseSet[]): number[][] =>
  [...groupBy(sets, ({ day }) => day)]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([, own]) => own.flatMap(({ figures }) => figures.sidesPercent ?? []))
    .filter((leans) => leans.length > 0);

/** How speed and technique relate; `unknown` with fewer than six days. */
export type Trade = 'unknown' | 'no sign' | 'speed costs technique' | 'both together';
/** Rank correlation of cycle time and clean share over days, with its verdict. */
export interface SpeedForTechnique extends Kendall {
  readonly trade: Trade;
}

const FEWEST_DAYS = 6;
const SURE_P = 0.05;

/** The verdict on a rank correlation of cycle time and clean share, at the 5 % level. */
export function tradeOf({ tau, p, n }: Kendall): Trade {
  if (n < FEWEST_DAYS) return 'unknown';
  if (p > SURE_P) return 'no sign';
  return tau > 0 ? 'speed costs technique' : 'both together';
}

/**
 * Whether speed is bought with technique: cycle times and shares of clean reps of the same days,
 * rank against rank. A tau above 0 says that the slower days were the cleaner ones. Days, not sets:
 * those of one day share its form.
 */
export function speedAgainstTechnique(sets: readonly CourseSet[]): SpeedForTechnique {
  const days = [
    ...groupBy(
      timed(sets, 'cycle').filter(({ figures }) => figures.cued > 0),
      ({ day }) => day,
    ).values(),
  ];
  const found = kendall(
    days.map((own) => mean(own.map((set) => valueOf(set, 'cycle')))),
    days.map((own) => mean(own.map(({ figures }) => figures.clean / figures.cued))),
  );
  return { ...found, trade: tradeOf(found) };
}
