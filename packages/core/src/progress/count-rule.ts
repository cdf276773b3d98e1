import { limitingGate, type Gate, type SetJudgement } from './gates.js';

/** Met when `setsNeeded` of the last `ofLast` sets passed, on at least `distinctDays` days. */
export interface CountRule {
  readonly setsNeeded: number;
  readonly ofLast: number;
  readonly distinctDays: number;
}

export const DEFAULT_COUNT_RULE: CountRule = { setsNeeded: 2, ofLast: 3, distinctDays: 2 };

/** A set on the rung in question, as evidence. */
export interface JudgedSet {
  readonly setId: string;
  /** Calendar day on which it was run, `YYYY-MM-DD`. */
  readonly day: string;
  readonly judgement: SetJudgement;
}

export type Answer = 'move up' | 'stay' | 'not enough reps yet';

export interface Decision {
  readonly answer: Answer;
  readonly rule: CountRule;
  /** Sets with enough reps that the rule looked at, and those of them that passed. */
  readonly setsSeen: number;
  readonly setsPassed: number;
  /** Different days on which one of them passed. */
  readonly daysPassed: number;
  /** What holds the newest set back; `null` when it passed. */
  readonly limiting: Gate | null;
  /** The rule is met, but there is no rung above. */
  readonly atTop: boolean;
}

/**
 * The count rule over the sets run on a rung since the athlete came to it, oldest first.
 * *Move up* when the rule is met; *stay* when the newest set did not pass (or there is no rung
 * above); *not enough reps yet* when it passed, had too few reps or was too close to call, and
 * more sets are needed.
 */
export function decideByCount(
  sets: readonly JudgedSet[],
  rule: CountRule,
  hasRungAbove: boolean,
): Decision {
  // A set broken off after a few reps says nothing, so it must not push out one that does.
  const telling = sets.filter(({ judgement }) => judgement.outcome !== 'too few reps');
  const seen = telling.slice(-rule.ofLast);
  const passed = seen.filter(({ judgement }) => judgement.outcome === 'passed');
  const daysPassed = new Set(passed.map(({ day }) => day)).size;
  const met = passed.length >= rule.setsNeeded && daysPassed >= rule.distinctDays;
  const newest = sets.at(-1);
  const held = newest?.judgement.outcome === 'not passed';
  return {
    answer: met && hasRungAbove ? 'move up' : met || held ? 'stay' : 'not enough reps yet',
    rule,
    setsSeen: seen.length,
    setsPassed: passed.length,
    daysPassed,
    limiting: newest ? limitingGate(newest.judgement) : null,
    atTop: met && !hasRungAbove,
  };
}
