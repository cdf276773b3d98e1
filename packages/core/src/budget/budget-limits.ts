import { distance, HOME } from '../floor/index.js';
import {
  shortOf,
  targetOf,
  type LimitSource,
  type Pattern,
  type Rung,
  type TargetLimit,
} from '../pattern/index.js';
import type { OwnSpeed } from './own-speed.js';
import type { TargetBudget } from './rally.js';
import { limitFrom } from './threshold.js';
import { travelTime } from './travel.js';

/** The durations a budget gives a limit for. */
export const BUDGETED = ['response', 'recovery'] as const;
export type Budgeted = (typeof BUDGETED)[number];

const budgetMs = ({ flight, recovery }: TargetBudget, of: Budgeted): number | null =>
  of === 'response'
    ? flight.ok
      ? 1000 * flight.value.timeS
      : null
    : recovery.ok
      ? recovery.value.totalMs
      : null;

type Asking = Pick<Rung, 'targets' | 'timeFactor'>;

/** The source of a limit for each target in play that has a budget. */
const budgetSources = (
  { targets, timeFactor }: Asking,
  of: Budgeted,
  budgets: readonly TargetBudget[],
  flightWords: (budget: TargetBudget) => string,
) =>
  budgets
    .filter(({ letter }) => targets.includes(letter))
    .flatMap((budget) => {
      const ms = budgetMs(budget, of);
      if (ms === null) return [];
      const source = {
        ...{ kind: 'budget' as const, budgetMs: Math.round(ms), factor: timeFactor },
        flight: flightWords(budget),
      };
      return [{ target: budget.letter, source }];
    });

/** A limit of each target in play from its own budget, times the rung's share of match time. */
export const targetLimits = (
  rung: Asking,
  of: Budgeted,
  budgets: readonly TargetBudget[],
  flightWords: (budget: TargetBudget) => string,
): TargetLimit[] =>
  budgetSources(rung, of, budgets, flightWords).map(({ target, source }) => ({
    ...{ gate: of, target, limitMs: limitFrom(source), source },
  }));

/**
 * A rung's limit from budgets: that of the target in play that leaves least time, since a limit
 * holds for all of them, times the rung's share of match time. `null` where no target has a budget.
 */
export function budgetSource(
  rung: Asking,
  of: Budgeted,
  budgets: readonly TargetBudget[],
  flightWords: (tightest: TargetBudget) => string,
): LimitSource | null {
  const [least] = budgetSources(rung, of, budgets, flightWords).sort(
    (a, b) => a.source.budgetMs - b.source.budgetMs,
  );
  return least?.source ?? null;
}

/**
 * A response limit of each target in play from an athlete's own reaction and travel line, times a
 * factor: a far target is given what a far way takes this athlete.
 */
export const lineLimits = (
  { targets, floorScale }: Pick<Rung, 'targets' | 'floorScale'>,
  pattern: Pick<Pattern, 'targets'>,
  { reactionMs, travel, n, drillReachM = 0 }: OwnSpeed,
  factor: number,
): TargetLimit[] =>
  targets.flatMap((target) => {
    const to = targetOf(pattern, target);
    if (!to) return [];
    const awayM = floorScale * distance(HOME, to.at);
    const wayM = awayM - shortOf(awayM, drillReachM);
    const lineMs = Math.round(reactionMs + 1000 * travelTime(wayM, travel));
    const source = { kind: 'own line' as const, lineMs, factor, n };
    return [{ gate: 'response' as const, target, limitMs: limitFrom(source), source }];
  });
