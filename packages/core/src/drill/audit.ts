import { longestRun, predictability, type Predictability } from '../cue/index.js';

/** What was really called, compared with a fair schedule. */
export interface Audit extends Predictability {
  /** Calls per target in play, in the given order. */
  readonly counts: readonly { readonly target: string; readonly count: number }[];
  readonly longestRun: number;
  /** The average success of guessing among these targets: 1/n. */
  readonly fairRate: number;
  /** Whether the next call can be predicted from the last so well that athletes could learn it. */
  readonly isLearnable: boolean;
}

/** Above this multiple of chance a caller has habits that can be learnt. */
const LEARNABLE = 1.6;

/** Counts, runs and predictability of a sequence of calls. */
export function auditCalls(calls: readonly string[], targets: readonly string[]): Audit {
  const guessed = predictability(calls);
  const fairRate = targets.length > 0 ? 1 / targets.length : 0;
  return {
    ...guessed,
    counts: targets.map((target) => ({
      target,
      count: calls.filter((call) => call === target).length,
    })),
    longestRun: longestRun(calls),
    fairRate,
    isLearnable: guessed.guessRateFromPrevious > LEARNABLE * fairRate,
  };
}
