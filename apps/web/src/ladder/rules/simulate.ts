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

/** A question to the worker: rules to follow, and the athletes. */
export interface RulesQuestion {
  readonly kind: 'rules';
  readonly rules: readonly Rule[];
  readonly settings: OutlookSettings;
  /** Share of the distance to the ceiling learnt with each set; 0 for athletes who stay as they are. */
  readonly learning: number;
  /** Number of athletes a staircase is simulated with; other rules are worked out exactly. */
  readonly athletes: number;
}

/** By rule, then by true rate. */
export type RulesAnswer = readonly (readonly RuleOutcome[])[];

const CEILING = 0.97;
/** Longer sets, since a staircase needs its reversals. */
const STAIRCASE_REPS = 30;
/** The same seed for all rules, so that they differ by what they do and not by luck. */
const SEED = 20_261;

/** What every rule does at every true rate; `tell` receives the progress, 0 to 1. */
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

/** Which settings keep a wish over a whole course. */
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
