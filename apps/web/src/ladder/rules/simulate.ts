import { seededRandom } from '@orthokin/core/cue';
import {
  operatingOf,
  simulateStaircase,
  suggestCount,
  suggestSequential,
  TRUE_RATES,
  type CountRule,
  type OutlookSettings,
  type Rule,
  type RuleOutcome,
  type SequentialRule,
  type Suggestion,
  type Wish,
} from '@orthokin/core/progress';
import type { Result } from '@orthokin/core/result';

/** What the worker is asked: rules, each for athletes of every true rate. */
export interface RulesQuestion {
  readonly kind: 'rules';
  readonly rules: readonly Rule[];
  readonly settings: OutlookSettings;
  /** Share of what is missing to the ceiling that is learnt with each set; 0 for athletes who stay. */
  readonly learning: number;
  /** That a staircase is followed over; the other rules are worked out exactly. */
  readonly athletes: number;
}

/** By rule, then by true rate. */
export type RulesAnswer = readonly (readonly RuleOutcome[])[];

const CEILING = 0.97;
/** A staircase needs its reversals: its sets are longer. */
const STAIRCASE_REPS = 30;
/** The same draws for every rule: they differ by what they make of them, not by luck. */
const SEED = 20_261;

/** What every rule does at every true rate; `tell` hears the share done. */
export function simulateRules(
  { rules, settings, learning, athletes }: RulesQuestion,
  tell: (share: number) => void,
): RulesAnswer {
  const all = rules.length * TRUE_RATES.length;
  return rules.map((rule, r) =>
    TRUE_RATES.map((passRate, i) => {
      const ceiling = learning > 0 ? Math.max(CEILING, passRate) : passRate;
      const learner = { passRate, learning, ceiling };
      const done = (share: number) => tell((r * TRUE_RATES.length + i + share) / all);
      done(0);
      if (rule.kind !== 'staircase') return operatingOf(rule, learner, settings);
      const longer = {
        ...settings,
        repsPerSet: Math.max(STAIRCASE_REPS, settings.repsPerSet),
      };
      return simulateStaircase(rule, learner, longer, athletes, seededRandom(SEED + i), done);
    }),
  );
}

/** Which settings keep a wish over a course. */
export interface WishQuestion {
  readonly kind: 'wish';
  readonly wish: Wish;
  readonly settings: OutlookSettings;
}

export interface WishAnswer {
  readonly count: Result<Suggestion<CountRule>>;
  readonly sequential: Result<Suggestion<SequentialRule>>;
}

export const answerWish = ({ wish, settings }: WishQuestion): WishAnswer => ({
  count: suggestCount(wish, settings),
  sequential: suggestSequential(wish, settings),
});
