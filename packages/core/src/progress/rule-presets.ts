import { USUAL_COUNT_RULE, QUICK_COUNT_RULE } from './count-rule.js';
import { operatingOf } from './operating.js';
import { steady, USUAL_OUTLOOK, type RuleOutcome } from './outlook.js';
import { checkRule, type Rule } from './rule.js';
import { CAREFUL_SEQUENTIAL_RULE, USUAL_SEQUENTIAL_RULE } from './sequential.js';
import { USUAL_STAIRCASE_RULE } from './staircase.js';
import { USUAL_WISH } from './suggest.js';

/** Names of preset rules. */
export const RULE_PRESETS = [
  'careful count',
  'quick count',
  'careful weighing',
  'quick weighing',
  'staircase',
] as const;
export type RulePreset = (typeof RULE_PRESETS)[number];

/** Preset rules; the first is the default of new ladders. */
export const PRESET_RULES: Readonly<Record<RulePreset, Rule>> = {
  'careful count': USUAL_COUNT_RULE,
  'quick count': QUICK_COUNT_RULE,
  'careful weighing': CAREFUL_SEQUENTIAL_RULE,
  'quick weighing': USUAL_SEQUENTIAL_RULE,
  staircase: USUAL_STAIRCASE_RULE,
};

/** A rule's outcomes with athletes who are not ready and with those who are. */
export interface RuleRisk {
  /** The true pass rates these stand for. */
  readonly tooSoonRate: number;
  readonly readyRate: number;
  readonly tooSoon: RuleOutcome;
  readonly ready: RuleOutcome;
  /** Whether it moves up no more of those not ready than wished. */
  readonly keepsWish: boolean;
}

/**
 * A rule's exact risk over the default outlook; `null` for a staircase, which can only be simulated, and for an
 * invalid rule.
 */
export function riskOf(rule: Rule): RuleRisk | null {
  if (rule.kind === 'staircase' || !checkRule(rule).ok) return null;
  const { tooSoonRate, readyRate, risk } = USUAL_WISH;
  const tooSoon = operatingOf(rule, steady(tooSoonRate), USUAL_OUTLOOK);
  const ready = operatingOf(rule, steady(readyRate), USUAL_OUTLOOK);
  return { tooSoonRate, readyRate, tooSoon, ready, keepsWish: tooSoon.moved <= risk };
}
