import { longestRun, predictability, type Predictability } from '../cue/index.js';

/** What was really called, held against what an honest schedule would be. */
export interface Audit extends Predictability {
  /** Of every target in play, in the order given; 0 for one never called. */
  readonly counts: readonly { readonly target: string; readonly count: number }[];
  readonly longestRun: number;
  /** What nobody can guess better than, on average, with these targets: 1/n. */
  readonly fairRate: number;
  /** The next call can be guessed from the last so much oftener that it could be learnt. */
  readonly isLearnable: boolean;
}

/** Above this over blind chance a caller has habits that an athlete can learn. */
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
