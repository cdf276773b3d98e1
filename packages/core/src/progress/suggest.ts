import { ok, wrong, type Result } from '../result/index.js';
import { USUAL_COUNT_RULE, type CountRule } from './count-rule.js';
import { operatingOf } from './operating.js';
import { steady, type OutlookSettings, type RuleOutcome } from './outlook.js';
import { USUAL_SEQUENTIAL_RULE, type SequentialRule } from './sequential.js';

/** A coach's wish for a rule. */
export interface Wish {
  /** At most this share of athletes with rate `tooSoonRate` may be moved up within the outlook. */
  readonly risk: number;
  readonly tooSoonRate: number;
  /** Athletes with this rate should not have to wait. */
  readonly readyRate: number;
}

/** Moves up at most 5 % of those who pass 7 reps of 10. */
export const USUAL_WISH: Wish = { risk: 0.05, tooSoonRate: 0.7, readyRate: 0.9 };

const MOST_SETS = 6;

/** A rule that keeps a wish, and its outcomes. */
export interface Suggestion<Suggested> {
  readonly rule: Suggested;
  /** Outcomes for an athlete who would be moved too soon, and for one who is ready. */
  readonly tooSoon: RuleOutcome;
  readonly ready: RuleOutcome;
}

function wishProblem({ risk, tooSoonRate, readyRate }: Wish): Result<never> | null {
  if (!(risk > 0 && risk < 0.5)) return wrong('risk', risk, 'between 0 and 0.5');
  if (!(tooSoonRate > 0 && tooSoonRate < readyRate && readyRate < 1))
    return wrong('tooSoonRate', tooSoonRate, `between 0 and the ready rate, ${readyRate}`);
  return null;
}

/** Of the count rules that keep the wish, the one with the shortest wait for those who are ready. */
export function suggestCount(wish: Wish, settings: OutlookSettings): Result<Suggestion<CountRule>> {
  const problem = wishProblem(wish);
  if (problem) return problem;
  const kept: Suggestion<CountRule>[] = [];
  for (let ofLast = 1; ofLast <= MOST_SETS; ofLast++)
    for (let setsNeeded = 1; setsNeeded <= ofLast; setsNeeded++) {
      const distinctDays = Math.min(USUAL_COUNT_RULE.distinctDays, setsNeeded);
      const rule: CountRule = { kind: 'count', setsNeeded, ofLast, distinctDays };
      const tooSoon = operatingOf(rule, steady(wish.tooSoonRate), settings);
      if (tooSoon.moved > wish.risk) continue;
      kept.push({ rule, tooSoon, ready: operatingOf(rule, steady(wish.readyRate), settings) });
    }
  const [best] = kept.sort((a, b) => a.ready.meanSets - b.ready.meanSets);
  return best
    ? ok(best)
    : wrong(
        'risk',
        wish.risk,
        `more reps a set, fewer sets looked ahead, or a greater risk: no rule of at most ${MOST_SETS} sets keeps it`,
      );
}

const MOST_HALVINGS = 12;

/**
 * The sequential test that keeps the wish over the whole outlook. A single test keeps its stated risk, but tests
 * begin anew after "not ready", so the risk per test must be smaller: the largest that suffices, found by bisection.
 */
export function suggestSequential(
  wish: Wish,
  settings: OutlookSettings,
): Result<Suggestion<SequentialRule>> {
  const problem = wishProblem(wish);
  if (problem) return problem;
  const suggestionOf = (alpha: number): Suggestion<SequentialRule> => {
    const rule: SequentialRule = {
      ...USUAL_SEQUENTIAL_RULE,
      ...{ p0: wish.tooSoonRate, p1: wish.readyRate, alpha },
    };
    const over = (rate: number) => operatingOf(rule, steady(rate), settings);
    return { rule, tooSoon: over(wish.tooSoonRate), ready: over(wish.readyRate) };
  };
  let [low, high] = [0, wish.risk];
  let best: Suggestion<SequentialRule> | null = null;
  for (let halved = 0; halved <= MOST_HALVINGS; halved++) {
    // Bisected geometrically, since risks differ by factors; finer than a tenth of a percent is useless.
    const alpha = halved === 0 ? high : low > 0 ? Math.sqrt(low * high) : high / 2;
    const tried = suggestionOf(alpha);
    if (tried.tooSoon.moved <= wish.risk) [low, best] = [alpha, tried];
    else high = alpha;
    if (low === wish.risk) break;
  }
  return best ? ok(best) : wrong('risk', wish.risk, 'a greater risk, or fewer sets looked ahead');
}
