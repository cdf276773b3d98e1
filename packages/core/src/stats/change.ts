import { mean, studentCdf, studentQuantile } from '../numeric/index.js';
import type { DayForm, TrainingDay } from './day-form.js';
import { LEVEL } from './interval.js';

/** The verdicts of a change, as codes. */
export const CHANGE_WORDS = [
  'clearly faster',
  'probably faster',
  'no clear change',
  'probably slower',
  'clearly slower',
] as const;
export type ChangeWord = (typeof CHANGE_WORDS)[number];

/** A change between two spans of days, ms, with its uncertainty. */
export interface Change {
  /** Means of the days before and after, and after − before; negative is faster. ms. */
  readonly beforeMs: number;
  readonly afterMs: number;
  readonly changeMs: number;
  /** Number of days in either span. */
  readonly daysBefore: number;
  readonly daysAfter: number;
  /** Sd of that change if nothing had changed, ms, and the degrees of freedom it is known with. */
  readonly sdMs: number;
  readonly df: number;
  /** The least change that is detectable: the days' own form makes less in 95 of 100 cases, ms. */
  readonly detectableMs: number;
  readonly worthwhileMs: number;
  /** Probabilities that the true change exceeds the worthwhile one, in either direction. */
  readonly fasterChance: number;
  readonly slowerChance: number;
  /** Two-sided p-value of the change. */
  readonly p: number;
  readonly words: ChangeWord;
  /**
   * So many more days after, run like these, would make this change a clear one; 0 where it is
   * clear, `null` where no number up to `MOST_MORE_DAYS` would.
   */
  readonly moreDays: number | null;
}

const SURELY = 0.95;
const PROBABLY = 0.9;

/** Where nobody knows how athletes differ: this share of one set's own spread (Hopkins 2000). */
const OWN_WORTHWHILE_SHARE = 0.3;

/** The smallest worthwhile change while the squad's spread is not known, ms. */
export const ownWorthwhileChange = ({ between, within }: DayForm): number =>
  OWN_WORTHWHILE_SHARE * Math.sqrt(between.ms2 + within.ms2);

/** An estimated change, its standard deviation, and that one's degrees of freedom. */
export interface Estimate {
  readonly change: number;
  readonly sd: number;
  readonly df: number;
}

/** Judges an estimated change against the smallest worthwhile one by Student's t. */
export function readChange(
  { change, sd, df }: Estimate,
  worthwhile: number,
): {
  readonly fasterChance: number;
  readonly slowerChance: number;
  readonly p: number;
  readonly words: ChangeWord;
} {
  const fasterChance = studentCdf((-worthwhile - change) / sd, df);
  const slowerChance = studentCdf((change - worthwhile) / sd, df);
  const p = 2 * studentCdf(-Math.abs(change) / sd, df);
  return {
    ...{ fasterChance, slowerChance, p },
    words: wordsFor(fasterChance, slowerChance, p < 1 - LEVEL),
  };
}

/** The least change that is beyond what chance makes in 95 of 100 cases: t₀.₉₇₅ · sd. */
export const detectableChange = ({ sd, df }: Pick<Estimate, 'sd' | 'df'>): number =>
  studentQuantile((1 + LEVEL) / 2, df) * sd;

function wordsFor(faster: number, slower: number, beyond: boolean): ChangeWord {
  if (faster >= SURELY && beyond) return 'clearly faster';
  if (slower >= SURELY && beyond) return 'clearly slower';
  if (faster >= PROBABLY) return 'probably faster';
  if (slower >= PROBABLY) return 'probably slower';
  return 'no clear change';
}

/** Whether a verdict is one that is rarely given to athletes who did not change. */
export const isClear = (words: ChangeWord): boolean => words.startsWith('clearly');

/** What a mean's uncertainty depends on: the number of days, and the mean of 1/sets over them. */
interface Span {
  readonly days: number;
  readonly thinness: number;
}

const spanOf = (days: readonly TrainingDay[]): Span => ({
  days: days.length,
  thinness: mean(days.map(({ setsMs }) => 1 / setsMs.length)),
});

/** Sd of a difference of two spans' means, with Satterthwaite's degrees of freedom (1946). */
function spreadOf({ between, within }: DayForm, before: Span, after: Span) {
  const ofDays = between.ms2 * (1 / before.days + 1 / after.days);
  const ofSets = within.ms2 * (before.thinness / before.days + after.thinness / after.days);
  const variance = ofDays + ofSets;
  return {
    sd: Math.sqrt(variance),
    df: variance ** 2 / (ofDays ** 2 / between.df + ofSets ** 2 / within.df),
  };
}

/** More training days than anybody waits for an answer. */
const MOST_MORE_DAYS = 30;

function moreDaysFor(
  changeMs: number,
  form: DayForm,
  before: Span,
  after: Span,
  worthwhileMs: number,
): number | null {
  for (let more = 0; more <= MOST_MORE_DAYS; more++) {
    const spread = spreadOf(form, before, { ...after, days: after.days + more });
    if (isClear(readChange({ change: changeMs, ...spread }, worthwhileMs).words)) return more;
  }
  return null;
}

/**
 * A change from some training days to later ones, held against what days and sets differ by though
 * nothing was learnt. Days weigh alike, however many sets they had. *Clearly* asks for a chance of
 * 95 % beyond the worthwhile change and more than the detectable one, *probably* for 90 %.
 *
 * @example
 * const before = [1, 3, 5].map((day) => ({ day, setsMs: [2500, 2540] }));
 * const after = [22, 24, 26].map((day) => ({ day, setsMs: [2100, 2140] }));
 * const form = dayForm([before.concat(after)]);
 * changeBetween(before, after, form, ownWorthwhileChange(form)).words; // 'clearly faster'
 */
export function changeBetween(
  before: readonly TrainingDay[],
  after: readonly TrainingDay[],
  form: DayForm,
  worthwhileMs: number,
): Change {
  const meanOf = (days: readonly TrainingDay[]) => mean(days.map(({ setsMs }) => mean(setsMs)));
  const [beforeMs, afterMs] = [meanOf(before), meanOf(after)];
  const [spanBefore, spanAfter] = [spanOf(before), spanOf(after)];
  const changeMs = afterMs - beforeMs;
  const { sd: sdMs, df } = spreadOf(form, spanBefore, spanAfter);
  const read = readChange({ change: changeMs, sd: sdMs, df }, worthwhileMs);
  return {
    ...{ beforeMs, afterMs, changeMs, sdMs, df, worthwhileMs },
    ...{ daysBefore: before.length, daysAfter: after.length },
    ...read,
    detectableMs: detectableChange({ sd: sdMs, df }),
    moreDays: moreDaysFor(changeMs, form, spanBefore, spanAfter, worthwhileMs),
  };
}
