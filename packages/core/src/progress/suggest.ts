import { ok, wrong, type Result } from '../result/index.js';
import { DEFAULT_COUNT_RULE, type CountRule } from './count-rule.js';
import { operatingOfCount, setPassProbability, type Operating } from './operating.js';
import { DEFAULT_SEQUENTIAL_RULE, type SequentialRule } from './sequential.js';
import type { CourseSettings } from './simulate-rule.js';

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

/** The sequential test whose risks are the wished ones: they are its very settings. */
export function suggestSequential(wish: Wish): Result<SequentialRule> {
  const problem = wishProblem(wish);
  return (
    problem ??
    ok({
      ...DEFAULT_SEQUENTIAL_RULE,
      ...{ p0: wish.tooSoonRate, p1: wish.readyRate, alpha: wish.risk },
    })
  );
}
