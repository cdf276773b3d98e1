import { mean, normalCdf, sd } from '../numeric/index.js';

/** Typical error of one test: sd of the differences between test and retest, over √2 (Hopkins 2000). */
export const typicalError = (test: readonly number[], retest: readonly number[]): number =>
  sd(test.map((each, i) => (retest[i] ?? NaN) - each)) / Math.SQRT2;

/** A change smaller than this can be the test's own error, at 95 % (Weir 2005). */
const MDC_Z = 1.96;
/** Change between one test and another that the typical error alone would seldom make. */
export const minimalDetectableChange = (error: number): number => MDC_Z * Math.SQRT2 * error;

/** The smallest change worth having: a fifth of the spread between athletes (Hopkins 2000). */
export const smallestWorthwhileChange = (athletes: readonly number[]): number => 0.2 * sd(athletes);

/** Where the others are not known: this share of the athlete's own typical error (Hopkins 2000). */
export const OWN_WORTHWHILE_SHARE = 0.3;

export const CHANGE_WORDS = [
  'clearly faster',
  'probably faster',
  'no clear change',
  'probably slower',
  'clearly slower',
] as const;
export type ChangeWord = (typeof CHANGE_WORDS)[number];

export interface Change {
  /** Means of the tests before and after, and after − before; negative is faster. ms. */
  readonly beforeMs: number;
  readonly afterMs: number;
  readonly changeMs: number;
  /** Sd of that change by the typical error alone. */
  readonly sdMs: number;
  readonly detectableMs: number;
  readonly worthwhileMs: number;
  /** Chances that the true change is beyond the worthwhile one, either way. */
  readonly fasterChance: number;
  readonly slowerChance: number;
  readonly beyondDetectable: boolean;
  readonly words: ChangeWord;
}

const SURELY = 0.95;
const PROBABLY = 0.75;

function wordsFor(faster: number, slower: number, beyond: boolean): ChangeWord {
  if (faster >= SURELY && beyond) return 'clearly faster';
  if (slower >= SURELY && beyond) return 'clearly slower';
  if (faster >= PROBABLY) return 'probably faster';
  if (slower >= PROBABLY) return 'probably slower';
  return 'no clear change';
}

/**
 * A change from some tests to later ones, held against what the tests themselves vary by: normal
 * with sd TE·√(1/before + 1/after), which for one test each is TE·√2 (Hopkins 2000; Weir 2005).
 * *Clearly* asks for a chance of 95 % and more than the detectable change, *probably* for 75 %.
 */
export function changeBetween(
  before: readonly number[],
  after: readonly number[],
  error: number,
  worthwhileMs: number,
): Change {
  const [beforeMs, afterMs] = [mean(before), mean(after)];
  const changeMs = afterMs - beforeMs;
  const sdMs = error * Math.sqrt(1 / before.length + 1 / after.length);
  const detectableMs = MDC_Z * sdMs;
  const fasterChance = normalCdf((-worthwhileMs - changeMs) / sdMs);
  const slowerChance = normalCdf((changeMs - worthwhileMs) / sdMs);
  const beyondDetectable = Math.abs(changeMs) > detectableMs;
  return {
    ...{ beforeMs, afterMs, changeMs, sdMs, detectableMs, worthwhileMs },
    ...{ fasterChance, slowerChance, beyondDetectable },
    words: wordsFor(fasterChance, slowerChance, beyondDetectable),
  };
}
