import { ok, wrong, type Result } from '../result/index.js';

/**
 * Wald's sequential probability ratio test (Wald 1945): ready when the reps say p ≥ p1 rather than
 * p ≤ p0. `alpha`: risk of moving up who is only at p0; `beta`: of holding back who is at p1.
 */
export interface SequentialRule {
  readonly kind: 'sequential';
  readonly p0: number;
  readonly p1: number;
  readonly alpha: number;
  readonly beta: number;
}

/** The handbook's test, section 7: 0.70 against 0.85, 5 % and 10 %. */
export const USUAL_SEQUENTIAL_RULE: SequentialRule = {
  kind: 'sequential',
  p0: 0.7,
  p1: 0.85,
  alpha: 0.05,
  beta: 0.1,
};

/**
 * Its risk of 0.4 % per test keeps the risk of a course of twenty sets below 5 %, although the test begins anew
 * whenever it says not ready.
 */
export const CAREFUL_SEQUENTIAL_RULE: SequentialRule = {
  kind: 'sequential',
  p0: 0.7,
  p1: 0.9,
  alpha: 0.004,
  beta: 0.1,
};

/** The rule, or the setting that is out of bounds. */
export function checkSequential(rule: SequentialRule): Result<SequentialRule> {
  const { p0, p1, alpha, beta } = rule;
  if (!(p0 > 0 && p0 < 1)) return wrong('p0', p0, 'between 0 and 1');
  if (!(p1 > p0 && p1 < 1)) return wrong('p1', p1, `between p0, ${p0}, and 1`);
  if (!(alpha > 0 && alpha < 0.5)) return wrong('alpha', alpha, 'between 0 and 0.5');
  if (!(beta > 0 && beta < 0.5)) return wrong('beta', beta, 'between 0 and 0.5');
  return ok(rule);
}

/** Bounds of the log likelihood ratio: ready at `upper`, not ready at `lower`. */
export const boundsOf = ({ alpha, beta }: Pick<SequentialRule, 'alpha' | 'beta'>) => ({
  upper: Math.log((1 - beta) / alpha),
  lower: Math.log(beta / (1 - alpha)),
});

/**
 * What one rep adds to the log likelihood ratio. `passed` is the chance that it truly passed: a rep
 * too close to call counts for what it says, and one that is certain gives Wald's own step.
 *
 * @example
 * evidenceOf(1, USUAL_SEQUENTIAL_RULE).toFixed(3); // '0.194'
 */
export const evidenceOf = (passed: number, { p0, p1 }: SequentialRule): number =>
  Math.log((passed * p1 + (1 - passed) * (1 - p1)) / (passed * p0 + (1 - passed) * (1 - p0)));

/** Tolerance for sums that reach the bound except for rounding. */
const ROUNDING = 1e-9;

/** How many passes in a row would bring a running test to its upper bound. */
export function passesToGo({ path, upper, state }: SequentialTest, rule: SequentialRule): number {
  const at = state === 'not ready' ? 0 : (path.at(-1) ?? 0);
  return Math.max(0, Math.ceil((upper - at) / evidenceOf(1, rule) - ROUNDING));
}

/** What the test says so far. */
export type SequentialState = 'ready' | 'not ready' | 'undecided';

/** A test's progress: its path rep by rep, up to its end. */
export interface SequentialTest {
  readonly path: readonly number[];
  readonly upper: number;
  readonly lower: number;
  readonly state: SequentialState;
  /** The rep at which it ended, from 1; `null` while undecided. */
  readonly decidedAt: number | null;
}

/** Runs the test over the reps' probabilities of having passed, until it reaches a bound. */
export function sequentialTest(passed: readonly number[], rule: SequentialRule): SequentialTest {
  const { upper, lower } = boundsOf(rule);
  const path: number[] = [];
  let sum = 0;
  for (const chance of passed) {
    sum += evidenceOf(chance, rule);
    path.push(sum);
    if (sum >= upper || sum <= lower)
      return {
        ...{ path, upper, lower, decidedAt: path.length },
        state: sum >= upper ? 'ready' : 'not ready',
      };
  }
  return { path, upper, lower, state: 'undecided', decidedAt: null };
}

/**
 * The test over weeks: after "not ready" a new one begins with the next rep; "ready" is final.
 * @returns the current test
 */
export function runningTest(passed: readonly number[], rule: SequentialRule): SequentialTest {
  let from = 0;
  for (;;) {
    const test = sequentialTest(passed.slice(from), rule);
    const end = from + (test.decidedAt ?? 0);
    if (test.state !== 'not ready' || end >= passed.length) return test;
    from = end;
  }
}
