import { raisedBy, type Axis, type Rung } from '../pattern/index.js';
import type { JudgedSet } from './evidence.js';
import { limitingGate, passRate, type Gate, type SetFade } from './gates.js';
import { RULES_VERSION, stateOf, type Rule, type RuleState } from './rule.js';

/** What is always answered, one of them. */
export const ANSWERS = ['move up', 'stay', 'ease back', 'rest', 'not enough reps yet'] as const;
export type Answer = (typeof ANSWERS)[number];

/** Rungs that an answer moves an athlete by: 1 up, −1 back, 0 for staying. */
export const stepOf = (answer: Answer): 1 | 0 | -1 =>
  answer === 'move up' ? 1 : answer === 'ease back' ? -1 : 0;

/** Why an answer is not simply what the rule says. */
export type Because =
  | 'the rule is met'
  | 'top of the ladder'
  | 'technique first'
  | 'technique failed twice'
  | 'fewer than half passed'
  | 'steep fade'
  | 'a gate holds'
  | 'more is needed';

/** The answer, its reason and the gate that holds most. */
export interface Decision {
  readonly answer: Answer;
  readonly because: Because;
  readonly rule: Rule;
  readonly rulesVersion: number;
  readonly state: RuleState;
  /** What holds the newest set back; `null` when it passed. */
  readonly limiting: Gate | null;
  /** Of the newest set; NaN never: `null` where it had no cued rep. */
  readonly passRate: number | null;
  readonly fade: SetFade | null;
  /** What the step to the next rung raises; empty at the top. */
  readonly raises: readonly Axis[];
  /** The sets it rests on, oldest first. */
  readonly setIds: readonly string[];
}

/** A decision without the list of its sets: what a line among many needs. */
export interface DecisionHead extends Omit<Decision, 'setIds'> {
  /** How many sets it rests on. */
  readonly sets: number;
}

/** What of a decision is said in a line. */
export const decisionHead = ({ setIds, ...decision }: Decision): DecisionHead => ({
  ...decision,
  sets: setIds.length,
});

const EASE_BELOW = 0.5;
const EASE_FEWEST_REPS = 8;

/** Everything a decision follows from. */
export interface Evidence {
  /** Sets on the rung since the athlete came to it, that asked the same, oldest first. */
  readonly sets: readonly JudgedSet[];
  readonly rung: Rung;
  /** `null` on the top rung. */
  readonly next: Rung | null;
  /** There is a rung below to ease back to. */
  readonly hasRungBelow: boolean;
}

const techniqueFails = (set: JudgedSet | undefined): boolean =>
  set !== undefined && !set.judgement.technique.met;

function easing({ sets, hasRungBelow }: Evidence): Because | null {
  if (!hasRungBelow) return null;
  const [before, newest] = [sets.at(-2), sets.at(-1)];
  if (techniqueFails(newest) && techniqueFails(before)) return 'technique failed twice';
  const judgement = newest?.judgement;
  return judgement &&
    judgement.chances.length >= EASE_FEWEST_REPS &&
    passRate(judgement) < EASE_BELOW
    ? 'fewer than half passed'
    : null;
}

function answerOf(evidence: Evidence, state: RuleState): readonly [Answer, Because] {
  const { sets, next } = evidence;
  const newest = sets.at(-1);
  if (!newest) return ['not enough reps yet', 'more is needed'];
  const ease = easing(evidence);
  const { outcome, fade } = newest.judgement;
  const isSlowedDown = fade?.isSteep === true && (ease !== null || outcome === 'not passed');
  // Who tires is not in over their head: a rest shows which of the two it is.
  if (isSlowedDown && ease !== 'technique failed twice') return ['rest', 'steep fade'];
  if (ease) return ['ease back', ease];
  if (state.met && techniqueFails(newest)) return ['stay', 'technique first'];
  if (state.met) return next ? ['move up', 'the rule is met'] : ['stay', 'top of the ladder'];
  return outcome === 'not passed'
    ? ['stay', 'a gate holds']
    : ['not enough reps yet', 'more is needed'];
}

/**
 * What the evidence says should come next. A pure function: the same sets, rung and rule always give
 * the same decision. While technique fails nobody is moved up, whatever the clock says.
 */
export function decide(evidence: Evidence, rule: Rule): Decision {
  const { sets, rung, next } = evidence;
  const state = stateOf(sets, rule, rung.limitsMs.cycle ?? null);
  const [answer, because] = answerOf(evidence, state);
  const judgement = sets.at(-1)?.judgement;
  const rate = judgement ? passRate(judgement) : NaN;
  return {
    ...{ answer, because, rule, rulesVersion: RULES_VERSION, state },
    limiting: judgement ? limitingGate(judgement) : null,
    passRate: Number.isNaN(rate) ? null : rate,
    fade: judgement?.fade ?? null,
    raises: next ? raisedBy(rung, next) : [],
    setIds: sets.map(({ setId }) => setId),
  };
}
