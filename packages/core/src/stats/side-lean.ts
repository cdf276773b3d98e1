import { mean, sd, studentCdf, studentQuantile } from '../numeric/index.js';
import { LEVEL, type Interval } from './interval.js';

/** By how much one side takes longer, judged over days: sets of one day lean alike. */
export interface SideLean {
  /** Mean of the days' asymmetries, percent; above 0 the left takes longer. */
  readonly percent: number;
  readonly days: number;
  /** By Student's t over the days. */
  readonly interval: Interval;
  /** Chance of leaning so far, either way, if both sides were alike. */
  readonly p: number;
}

/** Two days cannot tell what a day's lean scatters by. */
const FEWEST_DAYS = 3;

/** The lean of some days, each given by its sets' asymmetries in percent; `null` with fewer than three. */
export function sideLean(days: readonly (readonly number[])[]): SideLean | null {
  const n = days.length;
  if (n < FEWEST_DAYS) return null;
  const leans = days.map(mean);
  const percent = mean(leans);
  const se = sd(leans) / Math.sqrt(n);
  const reach = studentQuantile((1 + LEVEL) / 2, n - 1) * se;
  return {
    ...{ percent, days: n },
    interval: { low: percent - reach, high: percent + reach },
    p: pOf(percent, se, n - 1),
  };
}

const pOf = (difference: number, se: number, df: number): number =>
  se > 0 ? 2 * studentCdf(-Math.abs(difference) / se, df) : difference === 0 ? 1 : 0;

/** A lean that was not there before. */
export interface LeanChange {
  /** Percent now less percent before; and now. */
  readonly percent: number;
  readonly nowPercent: number;
  readonly daysBefore: number;
  readonly daysNow: number;
  /** Chance of such a change, either way, if the athlete leans as ever. */
  readonly p: number;
}

/** How the lean of the newer days differs from that of the older ones; `null` with fewer than three of either. */
export function leanChange(
  older: readonly (readonly number[])[],
  newer: readonly (readonly number[])[],
): LeanChange | null {
  const [m, n] = [older.length, newer.length];
  if (Math.min(m, n) < FEWEST_DAYS) return null;
  const [before, now] = [older.map(mean), newer.map(mean)];
  const df = m + n - 2;
  const variance = ((m - 1) * sd(before) ** 2 + (n - 1) * sd(now) ** 2) / df;
  const percent = mean(now) - mean(before);
  const nowPercent = mean(now);
  return {
    percent,
    nowPercent,
    daysBefore: m,
    daysNow: n,
    p: pOf(percent, Math.sqrt(variance * (1 / m + 1 / n)), df),
  };
}

/** So many of the newest days are looked at for a lean that is new. */
const NEWEST_DAYS = 4;

/** The lean of all days, oldest first, and how the newest of them differ from those before. */
export const leansOver = (
  days: readonly (readonly number[])[],
): { readonly lean: SideLean | null; readonly leanChange: LeanChange | null } => ({
  lean: sideLean(days),
  leanChange: leanChange(days.slice(0, -NEWEST_DAYS), days.slice(-NEWEST_DAYS)),
});

/** A lean smaller than this is nothing a coach would see or treat, percent. */
const LEAST_LEAN_PERCENT = 3;

/** A difference between the sides worth a word, percent. */
export const isLean = (percent: number): boolean => Math.abs(percent) >= LEAST_LEAN_PERCENT;

/** Whether a change of lean, if it is one, is a new lean: the newest days lean, and farther that way. */
export const leansAnew = ({ percent, nowPercent }: LeanChange): boolean =>
  isLean(nowPercent) && Math.sign(nowPercent) === Math.sign(percent);

/** A new lean of one athlete who is asked about; of a whole squad see `claimsOf`. */
export const isNewLean = (change: LeanChange | null): change is LeanChange =>
  change !== null && change.p <= 1 - LEVEL && leansAnew(change);
