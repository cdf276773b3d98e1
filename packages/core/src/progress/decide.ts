import { raisedBy, type Axis, type Rung } from '../pattern/index.js';
import type { JudgedSet } from './evidence.js';
import { limitingGate, passRate, type Gate, type SetFade } from './gates.js';
import { RULES_VERSION, stateOf, type Rule, type RuleState } from './rule.js';

/** The possible answers. */
export const ANSWERS = ['move up', 'stay', 'ease back', 'rest', 'not enough reps yet'] as const;
export type Answer = (typeof ANSWERS)[number];

/** How many rungs an answer moves an athlete: 1 up, −1 back, 0 none. */
export const stepOf = (answer: Answer): 1 | 0 | -1 =>
  answer === 'move up' ? 1 : answer === 'ease back' ? -1 : 0;

/** Why an answer differs from what the rule alone says. */
export type Because =
  | 'the rule is met'
  | 'top of the ladder'
  | 'technique first'
  | 'technique failed twice'
  | 'fewer than half passed'
  | 'steep fade'
  | 'a gate holds'
  | 'more is needed';

/** A decision: the answer, its reason, and the limiting gate. */
export interface Decision {
  readonly answer: Answer;
  readonly because: Because;
  readonly rule: Rule;
  readonly rulesVersion: number;
  readonly state: RuleState;
  /** The gate that holds the newest set back most; `null` if it passed. */
  readonly limiting: Gate | null;
  /** Of the newest set; `null` without cued reps. */
  readonly passRate: number | null;
  readonly fade: SetFade | null;
  /** What the next rung makes harder; empty on the top rung. */
  readonly raises: readonly Axis[];
  /** The sets it is based on, oldest first. */
  readonly setIds: readonly string[];
}

/** A decision without its list of sets, for lists. */
export interface DecisionHead extends Omit<Decision, 'setIds'> {
  /** Number of sets it is based on. */
  readonly sets: number;
}

/** The short form of a decision. */
export const decisionHead = ({ setIds, ...decision }: Decision): DecisionHead => ({
  ...decision,
  sets: setIds.length,
});

const EASE_BELOW = 0.5;
const EASE_FEWEST_REPS = 8;

/** Everything a decision is based on. */
export interface Evidence {
  /** Sets on the rung since the athlete reached it, with the rung's demands, oldest first. */
  readonly sets: readonly JudgedSet[];
  readonly rung: Rung;
  /** `null` on the top rung. */
  readonly next: Rung | null;
  /** Whether there is a rung below to ease back to. */
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
  // Fatigue is not the same as too high demands: a rest shows which of the two it is.
  if (isSlowedDown && ease !== 'technique failed twice') return ['rest', 'steep fade'];
  if (ease) return ['ease back', ease];
  if (state.met && techniqueFails(newest)) return ['stay', 'technique first'];
  if (state.met) return next ? ['move up', 'the rule is met'] : ['stay', 'top of the ladder'];
  return outcome === 'not passed'
    ? ['stay', 'a gate holds']
    : ['not enough reps yet', 'more is needed'];
}

/**
 * Decides what comes next. A pure function: the same sets, rung and rule always give the same decision. While
 * technique fails nobody moves up, however fast they are.
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
