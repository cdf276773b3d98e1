import { USUAL_COUNT_RULE, QUICK_COUNT_RULE } from './count-rule.js';
import { operatingOf } from './operating.js';
import { steady, USUAL_OUTLOOK, type RuleOutcome } from './outlook.js';
import { checkRule, type Rule } from './rule.js';
import { CAREFUL_SEQUENTIAL_RULE, USUAL_SEQUENTIAL_RULE } from './sequential.js';
import { USUAL_STAIRCASE_RULE } from './staircase.js';
import { USUAL_WISH } from './suggest.js';

/** Rules that are offered ready, by name. */
export const RULE_PRESETS = [
  'careful count',
  'quick count',
  'careful weighing',
  'quick weighing',
  'staircase',
] as const;
export type RulePreset = (typeof RULE_PRESETS)[number];

/** Rules to choose from; the first is the one a new ladder has. */
export const PRESET_RULES: Readonly<Record<RulePreset, Rule>> = {
  'careful count': USUAL_COUNT_RULE,
  'quick count': QUICK_COUNT_RULE,
  'careful weighing': CAREFUL_SEQUENTIAL_RULE,
  'quick weighing': USUAL_SEQUENTIAL_RULE,
  staircase: USUAL_STAIRCASE_RULE,
};

/** What a rule does over the usual outlook, with who is not ready and with who is. */
export interface RuleRisk {
  /** True pass rates the two stand for. */
  readonly tooSoonRate: number;
  readonly readyRate: number;
  readonly tooSoon: RuleOutcome;
  readonly ready: RuleOutcome;
  /** Of those not ready it moves up no more than is wished. */
  readonly keepsWish: boolean;
}

/**
 * The risk of a rule over the usual outlook, exactly; `null` of a staircase, which only a simulation
 * can follow, and of a rule that cannot be.
 */
export function riskOf(rule: Rule): RuleRisk | null {
  if (rule.kind === 'staircase' || !checkRule(rule).ok) return null;
  const { tooSoonRate, readyRate, risk } = USUAL_WISH;
  const tooSoon = operatingOf(rule, steady(tooSoonRate), USUAL_OUTLOOK);
  const ready = operatingOf(rule, steady(readyRate), USUAL_OUTLOOK);
  return { tooSoonRate, readyRate, tooSoon, ready, keepsWish: tooSoon.moved <= risk };
}
