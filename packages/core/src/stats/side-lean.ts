import { mean, sd, studentCdf, studentQuantile } from '../numeric/index.js';
import { LEVEL, type Interval } from './interval.js';

/** How much longer one side takes, judged over days, since sets of one day have the same lean. */
export interface SideLean {
  /** Mean of the days' asymmetries, percent; positive if the left takes longer. */
  readonly percent: number;
  readonly days: number;
  /** From Student's t over the days. */
  readonly interval: Interval;
  /** Two-sided p-value of the lean. */
  readonly p: number;
}

/** Two days do not show how much a day's lean varies. */
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

/** A change of lean between older and newer days. */
export interface LeanChange {
  /** The difference, and the newer days' lean, percent. */
  readonly percent: number;
  readonly nowPercent: number;
  readonly daysBefore: number;
  readonly daysNow: number;
  /** Two-sided p-value of the change. */
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

/** The number of newest days in which a new lean is looked for. */
const NEWEST_DAYS = 4;

/** The lean of all days, oldest first, and how the newest of them differ from those before. */
export const leansOver = (
  days: readonly (readonly number[])[],
): { readonly lean: SideLean | null; readonly leanChange: LeanChange | null } => ({
  lean: sideLean(days),
  leanChange: leanChange(days.slice(0, -NEWEST_DAYS), days.slice(-NEWEST_DAYS)),
});

/** A coach could neither see nor treat a smaller lean, percent. */
const LEAST_LEAN_PERCENT = 3;

/** Whether a difference between the sides is worth mentioning. */
export const isLean = (percent: number): boolean => Math.abs(percent) >= LEAST_LEAN_PERCENT;

/** Whether a change of lean means a new lean: the newest days lean, and more than before in that direction. */
export const leansAnew = ({ percent, nowPercent }: LeanChange): boolean =>
  isLean(nowPercent) && Math.sign(nowPercent) === Math.sign(percent);

/** Whether a single athlete's new lean is significant; for a whole squad see `claimsOf`. */
export const isNewLean = (change: LeanChange | null): change is LeanChange =>
  change !== null && change.p <= 1 - LEVEL && leansAnew(change);
