import type { RuleOutcome } from '@orthokin/core/progress';
import { TRUE_RATES, type RulesAnswer } from './simulate.js';

/** A share in percent; below one percent to a tenth, so that seldom is not never. */
export const finePercent = (share: number): string => {
  const points = 100 * share;
  return `${points > 0 && points < 1 ? points.toFixed(1) : Math.round(points)} %`;
};

/** A share with its doubt: two standard errors, never less than a tenth of a percent. */
export function shareWords({ moved, se }: Pick<RuleOutcome, 'moved' | 'se'>): string {
  const doubt = Math.max(0.1, 200 * se);
  return `${finePercent(moved).replace(' %', '')} ± ${doubt.toFixed(1)}`;
}

export function setsWords({ setsToMove }: Pick<RuleOutcome, 'setsToMove'>): string {
  if (!setsToMove) return 'nobody';
  const [low, middle, high] = setsToMove.map((sets) => Math.round(sets));
  return low === high ? `${middle ?? ''}` : `${middle ?? ''} (${low ?? ''}–${high ?? ''})`;
}

const at = (outcomes: readonly RuleOutcome[], rate: number): RuleOutcome | undefined =>
  outcomes[TRUE_RATES.findIndex((each) => each === rate)];

const WEAK = 0.7;
const STRONG = 0.9;

/** What a rule does with who is not ready and who is, in a sentence. */
export function ruleVerdict(name: string, outcomes: readonly RuleOutcome[]): string {
  const [weak, strong] = [at(outcomes, WEAK), at(outcomes, STRONG)];
  if (!weak || !strong) return '';
  return `${name} moves up ${finePercent(weak.moved)} of athletes who pass ${finePercent(WEAK)} of their reps, and ${finePercent(strong.moved)} of those who pass ${finePercent(STRONG)}, half of them within ${setsWords(strong).split(' ')[0] ?? ''} sets.`;
}

/** Which of two rules is the more careful, and which the quicker. */
export function comparisonSentence([a, b]: RulesAnswer): string | null {
  if (!a || !b) return null;
  const [weakA, weakB] = [at(a, WEAK), at(b, WEAK)];
  const [strongA, strongB] = [at(a, STRONG), at(b, STRONG)];
  if (!weakA || !weakB || !strongA || !strongB) return null;
  const apart = 2 * Math.hypot(weakA.se, weakB.se);
  const careful =
    Math.abs(weakA.moved - weakB.moved) <= apart
      ? 'Both move up too soon about as often'
      : `${weakA.moved < weakB.moved ? 'A' : 'B'} moves up too soon less often`;
  const [setsA, setsB] = [strongA.meanSets, strongB.meanSets];
  const quick =
    Math.abs(setsA - setsB) < 0.5
      ? 'the ready wait about as long'
      : `the ready wait ${Math.abs(setsA - setsB).toFixed(1)} sets less with ${setsA < setsB ? 'A' : 'B'}`;
  return `${careful}; ${quick}.`;
}
