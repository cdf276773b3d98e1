import type { Random } from '../cue/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { DEFAULT_COUNT_RULE, type CountRule } from './count-rule.js';
import { operatingOfCount, setPassProbability, type Operating } from './operating.js';
import { DEFAULT_SEQUENTIAL_RULE, type SequentialRule } from './sequential.js';
import { simulateRule, type CourseSettings, type RuleOutcome } from './simulate-rule.js';

/** What a coach wishes of a rule. */
export interface Wish {
  /** No more than this share of athletes at `tooSoonRate` may be moved up within the course. */
  readonly risk: number;
  readonly tooSoonRate: number;
  /** Athletes at this rate should not wait. */
  readonly readyRate: number;
}

export const USUAL_WISH: Wish = { risk: 0.05, tooSoonRate: 0.7, readyRate: 0.9 };

const MOST_SETS = 6;

export interface Suggestion {
  readonly rule: CountRule;
  /** What it does with an athlete at the rate that is too soon, and with one who is ready. */
  readonly tooSoon: Operating;
  readonly ready: Operating;
}

function wishProblem({ risk, tooSoonRate, readyRate }: Wish): Result<never> | null {
  if (!(risk > 0 && risk < 0.5)) return wrong('risk', risk, 'between 0 and 0.5');
  if (!(tooSoonRate > 0 && tooSoonRate < readyRate && readyRate < 1))
    return wrong('tooSoonRate', tooSoonRate, `between 0 and the ready rate, ${readyRate}`);
  return null;
}

/** Of the count rules that keep the wish, the one by which the ready wait least; reckoned exactly. */
export function suggestCount(
  wish: Wish,
  { repsPerSet, passesNeeded, withinSets }: CourseSettings,
): Result<Suggestion> {
  const problem = wishProblem(wish);
  if (problem) return problem;
  const [low, high] = [wish.tooSoonRate, wish.readyRate].map((rate) =>
    setPassProbability(repsPerSet, passesNeeded, rate),
  ) as [number, number];
  const kept: Suggestion[] = [];
  for (let ofLast = 1; ofLast <= MOST_SETS; ofLast++)
    for (let setsNeeded = 1; setsNeeded <= ofLast; setsNeeded++) {
      const counts = { setsNeeded, ofLast };
      const tooSoon = operatingOfCount(counts, low, withinSets);
      if (tooSoon.promoted > wish.risk) continue;
      const { distinctDays } = DEFAULT_COUNT_RULE;
      kept.push({
        rule: { kind: 'count', ...counts, distinctDays: Math.min(distinctDays, setsNeeded) },
        ...{ tooSoon, ready: operatingOfCount(counts, high, withinSets) },
      });
    }
  const [best] = kept.sort((a, b) => a.ready.expectedSets - b.ready.expectedSets);
  return best
    ? ok(best)
    : wrong(
        'risk',
        wish.risk,
        `more reps a set, fewer sets in the course, or a greater risk: no rule of at most ${MOST_SETS} sets keeps it`,
      );
}

export interface SequentialSuggestion {
  readonly rule: SequentialRule;
  /** Shares moved up within the course, simulated: too soon, and of the ready. */
  readonly tooSoon: RuleOutcome;
  readonly ready: RuleOutcome;
}

const MOST_HALVINGS = 10;

/**
 * The sequential test that keeps the wish over the whole course. One test keeps its stated risk, but
 * it begins anew whenever it says not ready, so over many sets a risk per test must be smaller than
 * the wished one: halved until `athletes` simulated ones, and their doubt, are within the wish.
 */
export function suggestSequential(
  wish: Wish,
  settings: CourseSettings,
  athletes: number,
  randomOf: () => Random,
): Result<SequentialSuggestion> {
  const problem = wishProblem(wish);
  if (problem) return problem;
  const over = (rule: SequentialRule, rate: number) =>
    simulateRule(
      rule,
      { passRate: rate, learning: 0, ceiling: rate },
      settings,
      athletes,
      randomOf(),
    );
  let alpha = wish.risk;
  for (let halved = 0; halved <= MOST_HALVINGS; halved++) {
    const rule = {
      ...DEFAULT_SEQUENTIAL_RULE,
      ...{ p0: wish.tooSoonRate, p1: wish.readyRate, alpha },
    };
    const tooSoon = over(rule, wish.tooSoonRate);
    if (tooSoon.moved + 2 * tooSoon.se <= wish.risk)
      return ok({ rule, tooSoon, ready: over(rule, wish.readyRate) });
    alpha /= 2;
  }
  return wrong('risk', wish.risk, 'a greater risk, or fewer sets in the course');
}
