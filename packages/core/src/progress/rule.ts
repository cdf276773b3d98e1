import type { Result } from '../result/index.js';
import { checkCount, countState, type CountRule, type CountState } from './count-rule.js';
import type { JudgedSet } from './evidence.js';
import {
  checkSequential,
  runningTest,
  type SequentialRule,
  type SequentialTest,
} from './sequential.js';
import { checkStaircase, type StaircaseReading, type StaircaseRule } from './staircase.js';

/** When a rung is met: one rule a ladder. */
export type Rule = CountRule | SequentialRule | StaircaseRule;
/** The kinds of rule for "met". */
export const RULE_KINDS = ['count', 'sequential', 'staircase'] as const satisfies Rule['kind'][];

/** What the arithmetic of the rules is called: kept with each decision, raised with each change of it. */
export const RULES_VERSION = 1;

/** The rule, or which of its settings is out of bounds. */
export const checkRule = (rule: Rule): Result<Rule> =>
  rule.kind === 'count'
    ? checkCount(rule)
    : rule.kind === 'sequential'
      ? checkSequential(rule)
      : checkStaircase(rule);

/** Where the sequential test stands, with its evidence. */
export interface SequentialStanding extends SequentialTest {
  readonly kind: 'sequential';
  readonly met: boolean;
}

/** Where a staircase stands: its pace, ms, and its reversals. */
export interface StaircaseStanding {
  readonly kind: 'staircase';
  /** The newest staircase set; `null` before any. */
  readonly reading: StaircaseReading | null;
  /** The pace that must be reached, ms; `null` where the rung has no limit for the cycle. */
  readonly wantedMs: number | null;
  readonly met: boolean;
}

/** How far a rule is on its way to being met. */
export type RuleState = CountState | SequentialStanding | StaircaseStanding;

/** The rule over sets of one rung, oldest first; `wantedMs` is the rung's limit of the cycle. */
export function stateOf(
  sets: readonly JudgedSet[],
  rule: Rule,
  wantedMs: number | null = null,
): RuleState {
  if (rule.kind === 'count') return countState(sets, rule);
  if (rule.kind === 'sequential') {
    const test = runningTest(
      sets.flatMap(({ judgement }) => judgement.chances),
      rule,
    );
    return { kind: 'sequential', ...test, met: test.state === 'ready' };
  }
  const reading = sets.findLast(({ staircase }) => staircase)?.staircase ?? null;
  const reached = reading?.thresholdMs ?? null;
  return {
    ...{ kind: 'staircase', reading, wantedMs },
    met: reached !== null && wantedMs !== null && reached <= wantedMs,
  };
}
