import { ok, wrong, type Result } from '../result/index.js';
import type { JudgedSet } from './evidence.js';

/** Met when `setsNeeded` of the last `ofLast` sets passed, on at least `distinctDays` days. */
export interface CountRule {
  readonly kind: 'count';
  readonly setsNeeded: number;
  readonly ofLast: number;
  readonly distinctDays: number;
}

/**
 * Moves up at most one in twenty of those who pass 70 % of reps, within a course of twenty sets; of the count rules
 * that keep this wish, the one with the shortest wait for those who are ready.
 */
export const USUAL_COUNT_RULE: CountRule = {
  kind: 'count',
  setsNeeded: 5,
  ofLast: 6,
  distinctDays: 2,
};

/** Decides early, and often too soon: it moves up most of those who pass 70 %. */
export const QUICK_COUNT_RULE: CountRule = {
  kind: 'count',
  setsNeeded: 2,
  ofLast: 3,
  distinctDays: 2,
};

const MOST_SETS = 10;

/** The rule, or the setting that is out of bounds. */
export function checkCount(rule: CountRule): Result<CountRule> {
  const { setsNeeded, ofLast, distinctDays } = rule;
  if (!(Number.isInteger(ofLast) && ofLast >= 1 && ofLast <= MOST_SETS))
    return wrong('ofLast', ofLast, `1 to ${MOST_SETS}`);
  if (!(Number.isInteger(setsNeeded) && setsNeeded >= 1 && setsNeeded <= ofLast))
    return wrong('setsNeeded', setsNeeded, `1 to ${ofLast}, the sets looked at`);
  if (!(Number.isInteger(distinctDays) && distinctDays >= 1 && distinctDays <= setsNeeded))
    return wrong('distinctDays', distinctDays, `1 to ${setsNeeded}, the sets that must pass`);
  return ok(rule);
}

/** The count rule's progress. */
export interface CountState {
  readonly kind: 'count';
  /** Number of sets with enough reps that were considered, and how many of them passed. */
  readonly setsSeen: number;
  readonly setsPassed: number;
  /** Number of different days with a passed set since the athlete reached the rung. */
  readonly daysPassed: number;
  readonly met: boolean;
}

/**
 * The count rule over sets of one rung, oldest first. Days count over every set passed since the
 * athlete came to the rung: were they counted over the last sets only, one more passed set could
 * push a day out and turn *move up* into *stay*.
 */
export function countState(sets: readonly JudgedSet[], rule: CountRule): CountState {
  // A set cut off after a few reps says nothing, and must not displace one that does.
  const telling = sets.filter(({ judgement }) => judgement.outcome !== 'too few reps');
  const isPassed = ({ judgement }: JudgedSet) => judgement.outcome === 'passed';
  const seen = telling.slice(-rule.ofLast);
  const setsPassed = seen.filter(isPassed).length;
  const daysPassed = new Set(telling.filter(isPassed).map(({ day }) => day)).size;
  return {
    ...{ kind: 'count', setsSeen: seen.length, setsPassed, daysPassed },
    met: setsPassed >= rule.setsNeeded && daysPassed >= rule.distinctDays,
  };
}
