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

/** When a rung is met; one rule per ladder. */
export type Rule = CountRule | SequentialRule | StaircaseRule;
/** The kinds of rule for "met". */
export const RULE_KINDS = ['count', 'sequential', 'staircase'] as const satisfies Rule['kind'][];

/** Version of the rules' arithmetic, stored with each decision and raised with each change. */
export const RULES_VERSION = 1;

/** The rule, or the setting that is out of bounds. */
export const checkRule = (rule: Rule): Result<Rule> =>
  rule.kind === 'count'
    ? checkCount(rule)
    : rule.kind === 'sequential'
      ? checkSequential(rule)
      : checkStaircase(rule);

/** The sequential test's progress, with its evidence. */
export interface SequentialStanding extends SequentialTest {
  readonly kind: 'sequential';
  readonly met: boolean;
}

/** A staircase's progress: its pace, ms, and reversals. */
export interface StaircaseStanding {
  readonly kind: 'staircase';
  /** The newest staircase set; `null` before any. */
  readonly reading: StaircaseReading | null;
  /** The pace to reach, ms; `null` if the rung does not limit the cycle. */
  readonly wantedMs: number | null;
  readonly met: boolean;
}

/** A rule's progress. */
export type RuleState = CountState | SequentialStanding | StaircaseStanding;

/**
 * A rule applied to a rung's sets, oldest first.
 * @param wantedMs the rung's limit for the cycle
 */
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
