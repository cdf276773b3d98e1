import type { CountRule } from './count-rule.js';
import {
  outcomeOf,
  ratesOf,
  type OutlookSettings,
  type Learner,
  type RuleOutcome,
} from './outlook.js';
import { boundsOf, evidenceOf, type SequentialRule } from './sequential.js';

/** P(at least `needed` of n reps pass), each with probability p. */
export function setPassProbability(n: number, needed: number, p: number): number {
  // Terms are computed by their ratio, so that no factorial becomes large.
  let term = (1 - p) ** n;
  if (p >= 1) return needed <= n ? 1 : 0;
  let below = 0;
  for (let k = 0; k < needed; k++) {
    below += term;
    term *= ((n - k) / (k + 1)) * (p / (1 - p));
  }
  return Math.max(0, 1 - below);
}

const ones = (bits: number): number => (bits === 0 ? 0 : (bits & 1) + ones(bits >> 1));

/**
 * P(moved up) after each set by the count rule: a Markov chain over the outcomes of the last m − 1 sets, the number
 * of passed days, and whether today is one of them.
 */
function movesByCount(
  { setsNeeded, ofLast, distinctDays }: CountRule,
  passOf: (set: number) => number,
  { setsPerDay, withinSets }: OutlookSettings,
): Float64Array {
  const windows = 1 << (ofLast - 1);
  const perDay = 2 * windows;
  const stateOf = (window: number, days: number, today: number) =>
    days * perDay + today * windows + window;
  let chances = new Float64Array((distinctDays + 1) * perDay);
  chances[0] = 1;
  const movedAfter = new Float64Array(withinSets);
  for (let set = 0; set < withinSets; set++) {
    const next = new Float64Array(chances.length);
    const isNewDay = set % setsPerDay === 0;
    const pass = passOf(set);
    for (let state = 0; state < chances.length; state++) {
      const chance = chances[state] as number;
      if (chance === 0) continue;
      const days = Math.floor(state / perDay);
      const today = isNewDay ? 0 : Math.floor((state % perDay) / windows);
      const window = state % windows;
      const failed = stateOf((window << 1) & (windows - 1), days, today);
      next[failed] = (next[failed] as number) + chance * (1 - pass);
      const daysPassed = today === 1 ? days : Math.min(distinctDays, days + 1);
      if (ones(window) + 1 >= setsNeeded && daysPassed >= distinctDays)
        movedAfter[set] = (movedAfter[set] as number) + chance * pass;
      else {
        const passed = stateOf(((window << 1) | 1) & (windows - 1), daysPassed, 1);
        next[passed] = (next[passed] as number) + chance * pass;
      }
    }
    chances = next;
  }
  return movedAfter;
}

/**
 * P(moved up) after each set by the sequential test: a Markov chain over passes and fails since the test began, rep
 * by rep; a test that says not ready starts anew.
 */
function movesBySequential(
  rule: SequentialRule,
  rates: Float64Array,
  { repsPerSet, withinSets }: OutlookSettings,
): Float64Array {
  const { upper, lower } = boundsOf(rule);
  const [up, down] = [evidenceOf(1, rule), evidenceOf(0, rule)];
  const movedAfter = new Float64Array(withinSets);
  /** Probabilities by number of fails, then of passes. */
  let running: number[][] = [[1]];
  for (let rep = 0; rep < repsPerSet * withinSets; rep++) {
    const set = Math.floor(rep / repsPerSet);
    const pass = rates[set] as number;
    const next: number[][] = [];
    const go = (fails: number, passes: number, chance: number) => {
      const sum = passes * up + fails * down;
      if (sum >= upper) {
        movedAfter[set] = (movedAfter[set] as number) + chance;
        return;
      }
      const [f, p] = sum <= lower ? [0, 0] : [fails, passes];
      const row = (next[f] ??= []);
      row[p] = (row[p] ?? 0) + chance;
    };
    running.forEach((row, fails) =>
      row.forEach((chance, passes) => {
        go(fails, passes + 1, chance * pass);
        go(fails + 1, passes, chance * (1 - pass));
      }),
    );
    running = next;
  }
  return movedAfter;
}

/**
 * What the count rule or the sequential test does with such athletes over the sets looked ahead, exactly, when
 * each rep passes or fails by itself.
 *
 * @example
 * operatingOf(QUICK_COUNT_RULE, steady(0.7), USUAL_OUTLOOK).moved; // 0.783…
 */
export function operatingOf(
  rule: CountRule | SequentialRule,
  learner: Learner,
  settings: OutlookSettings,
): RuleOutcome {
  const rates = ratesOf(learner, settings);
  const { repsPerSet, passesNeeded } = settings;
  const movedAfter =
    rule.kind === 'count'
      ? movesByCount(
          rule,
          (set) => setPassProbability(repsPerSet, passesNeeded, rates[set] as number),
          settings,
        )
      : movesBySequential(rule, rates, settings);
  return outcomeOf(movedAfter, rates, settings, null);
}
