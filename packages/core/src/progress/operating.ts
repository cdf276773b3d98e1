import type { CountRule } from './count-rule.js';

/** What a rule does with an athlete whose every rep passes independently with one probability. */
export interface Operating {
  /** Chance to be moved up within the sets. */
  readonly promoted: number;
  /** Sets run, stopping at the move or at the last set. */
  readonly expectedSets: number;
}

/** P(at least `needed` of n reps pass), each with probability p. */
export function setPassProbability(n: number, needed: number, p: number): number {
  // Terms by their ratio: no factorial is ever large.
  let term = (1 - p) ** n;
  if (p >= 1) return needed <= n ? 1 : 0;
  let below = 0;
  for (let k = 0; k < needed; k++) {
    below += term;
    term *= ((n - k) / (k + 1)) * (p / (1 - p));
  }
  return Math.max(0, 1 - below);
}

/**
 * The count rule exactly: a Markov chain over the outcomes of the last m − 1 sets, each set passing
 * with `setPass`. Days are left out: as many sets as there are days is taken for granted.
 */
export function operatingOfCount(
  { setsNeeded, ofLast }: Pick<CountRule, 'setsNeeded' | 'ofLast'>,
  setPass: number,
  withinSets: number,
): Operating {
  const mask = (1 << (ofLast - 1)) - 1;
  const ones = (bits: number): number => (bits === 0 ? 0 : (bits & 1) + ones(bits >> 1));
  let states = new Float64Array(mask + 1);
  states[0] = 1;
  let promoted = 0;
  let expectedSets = 0;
  for (let set = 1; set <= withinSets; set++) {
    const running = 1 - promoted;
    expectedSets += running;
    const next = new Float64Array(mask + 1);
    for (const [past, chance] of states.entries()) {
      if (chance === 0) continue;
      if (ones(past) + 1 >= setsNeeded) promoted += chance * setPass;
      else {
        const passed = ((past << 1) | 1) & mask;
        next[passed] = (next[passed] ?? 0) + chance * setPass;
      }
      const failed = (past << 1) & mask;
      next[failed] = (next[failed] ?? 0) + chance * (1 - setPass);
    }
    states = next;
  }
  return { promoted, expectedSets };
}
