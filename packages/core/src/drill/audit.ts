import { longestRun, predictability, type Predictability } from '../cue/index.js';

/** What was really called, held against what an honest schedule would be. */
export interface Audit extends Predictability {
  /** Of every target in play, in the order given; 0 for one never called. */
  readonly counts: readonly { readonly target: string; readonly count: number }[];
  readonly longestRun: number;
  /** What nobody can guess better than, on average, with these targets: 1/n. */
  readonly fairRate: number;
}

/** Counts, runs and predictability of a sequence of calls. */
export const auditCalls = (calls: readonly string[], targets: readonly string[]): Audit => ({
  ...predictability(calls),
  counts: targets.map((target) => ({
    target,
    count: calls.filter((call) => call === target).length,
  })),
  longestRun: longestRun(calls),
  fairRate: targets.length > 0 ? 1 / targets.length : 0,
});
