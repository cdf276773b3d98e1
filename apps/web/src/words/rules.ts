import { TRUE_RATES, type RuleOutcome } from '@orthokin/core/progress';
import { rules as en } from './en/rules.js';
import { speaker } from './say.js';

const say = speaker(en);

/** A share in percent, below one percent to a tenth, so that "seldom" does not read as "never". */
export const finePercent = (share: number): string => {
  const points = 100 * share;
  return `${points > 0 && points < 1 ? points.toFixed(1) : Math.round(points)} %`;
};

/** A share; if it was simulated, with two standard errors, at least a tenth of a percent. */
export function shareWords({
  moved,
  se,
  athletes,
}: Pick<RuleOutcome, 'moved' | 'se' | 'athletes'>): string {
  if (athletes === null) return finePercent(moved).replace(' %', '');
  const doubt = Math.max(0.1, 200 * se);
  return `${finePercent(moved).replace(' %', '')} ± ${doubt.toFixed(1)}`;
}

export function setsWords({ setsToMove }: Pick<RuleOutcome, 'setsToMove'>): string {
  if (!setsToMove) return 'nobody';
  const [low, middle, high] = setsToMove.map((sets) => Math.round(sets));
  return low === high ? `${middle ?? ''}` : `${middle ?? ''} (${low ?? ''}–${high ?? ''})`;
}

/** How far a true pass rate must be from "ready" for examples of a rule. */
const CLEARLY = 0.1 - 1e-9;

/** The true pass rates used as examples: clearly not ready, and clearly ready. */
function tellingRates(readyRate: number): { readonly weak: number; readonly strong: number } {
  const weak = TRUE_RATES.findLastIndex((rate) => rate <= readyRate - CLEARLY);
  const strong = TRUE_RATES.findIndex((rate) => rate >= readyRate + CLEARLY);
  return { weak: Math.max(0, weak), strong: strong < 0 ? TRUE_RATES.length - 1 : strong };
}

/** The part of a comparison that its words need. */
export interface Told {
  readonly readyRate: number;
  /** Whether the athletes learn; their rate is then the initial one. */
  readonly isLearning: boolean;
}

/** A share of athletes as a number of people: out of ten, or out of a hundred if that would be nobody. */
export function peopleWords(share: number): string {
  const ofHundred = Math.round(100 * share);
  if (ofHundred === 0) return say('none');
  if (ofHundred === 100) return say('all');
  return ofHundred < 10 || ofHundred > 90
    ? say('ofHundred', { n: ofHundred })
    : say('ofTen', { n: Math.round(10 * share) });
}

/** What a rule does to athletes who are not ready and to those who are, in a sentence. */
export function ruleVerdict(
  name: string,
  outcomes: readonly RuleOutcome[],
  { readyRate, isLearning }: Told,
): string {
  const { weak, strong } = tellingRates(readyRate);
  const [low, high] = [outcomes[weak], outcomes[strong]];
  if (!low || !high) return '';
  const who = isLearning ? say('whoBeginPassing') : say('whoPass');
  const [below, above] = [weak, strong].map((at) => finePercent(TRUE_RATES[at] ?? NaN));
  const half = setsWords(high).split(' ')[0] ?? '';
  return say('nameMovesUpFinepercentAthletesWho', {
    name,
    low: peopleWords(low.moved),
    who,
    below: below ?? '',
    high: peopleWords(high.moved),
    above: above ?? '',
    half,
  });
}

/** Standard error of the share moved up too soon. */
const tooSoonSe = ({ tooSoon, athletes }: RuleOutcome): number =>
  athletes === null ? 0 : Math.sqrt((tooSoon * (1 - tooSoon)) / athletes);

/** Smaller differences than this do not matter. */
const AS_OFTEN = 0.005;

/** Which of two rules is more careful, and which is quicker. */
export function comparisonSentence(
  [a, b]: readonly (readonly RuleOutcome[])[],
  { readyRate }: Told,
): string | null {
  const { weak, strong } = tellingRates(readyRate);
  const [weakA, weakB, strongA, strongB] = [a?.[weak], b?.[weak], a?.[strong], b?.[strong]];
  if (!weakA || !weakB || !strongA || !strongB) return null;
  const apart = AS_OFTEN + 2 * Math.hypot(tooSoonSe(weakA), tooSoonSe(weakB));
  const careful =
    Math.abs(weakA.tooSoon - weakB.tooSoon) <= apart
      ? say('bothMoveUpTooSoonAbout')
      : say('whichMovesUpTooSoonLess', { which: weakA.tooSoon < weakB.tooSoon ? 'A' : 'B' });
  const [setsA, setsB] = [strongA.meanSets, strongB.meanSets];
  const quick =
    Math.abs(setsA - setsB) < 0.5
      ? say('readyWaitAboutLong')
      : say('readyWaitAbsSetsLessWhich', {
          abs: Math.abs(setsA - setsB).toFixed(1),
          which: setsA < setsB ? 'A' : 'B',
        });
  return `${careful}; ${quick}.`;
}
