import { distance, HOME, type Target } from '../floor/index.js';
import { median } from '../numeric/index.js';
import {
  targetOf,
  type LimitSource,
  type Pattern,
  type Rung,
  type TargetLimit,
} from '../pattern/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { fitTravel, type TravelFit } from './fit-travel.js';
import { flightOf, type Flight } from './flight.js';
import type { Projectile } from './projectile.js';
import { limitFrom } from './threshold.js';
import { feasibility, recoveryBudget, type Feasibility, type RecoveryBudget } from './time.js';
import { wayTo, type Coming } from './way.js';

/** What is settled of a rally, to reckon how much time there is. */
export interface Rally {
  readonly projectile: Projectile;
  /** Off the opponent, and off the athlete, m/s. */
  readonly speed: number;
  readonly ownSpeed: number;
  readonly coming: Coming;
  /** The opponent's handling, ms. */
  readonly handlingMs: number;
}

/** What an athlete brings: their own reaction and travel line. */
export interface OwnSpeed {
  readonly reactionMs: number;
  readonly travel: TravelFit;
  /** Timed ways the line is from. */
  readonly n: number;
}

/** Reps as columns, as far as an athlete's own speed needs them; ms, `null` where not timed. */
export interface TimedWays {
  readonly target: readonly string[];
  readonly reaction: readonly (number | null)[];
  readonly travel: readonly (number | null)[];
}

/** An athlete's reaction and travel line out of their counted reps. */
export function ownSpeedOf(
  { target, reaction, travel }: TimedWays,
  pattern: Pick<Pattern, 'targets'>,
): Result<OwnSpeed> {
  const pairs = travel.flatMap((ms, i) => {
    const to = targetOf(pattern, target[i] ?? '');
    return ms === null || !to ? [] : [{ distanceM: distance(HOME, to.at), timeS: ms / 1000 }];
  });
  const fit = fitTravel(pairs);
  if (!fit.ok) return fit;
  const reactions = reaction.filter((ms) => ms !== null);
  if (reactions.length === 0) return wrong('reactions', 0, 'at least one timed reaction');
  return ok({ reactionMs: median(reactions), travel: fit.value, n: pairs.length });
}

/** How much time there is to one target, and whether it is enough. */
export interface TargetBudget {
  readonly letter: string;
  readonly name: string;
  readonly distanceM: number;
  /** What flies, from the opponent to here, m. */
  readonly wayM: number;
  readonly flight: Result<Flight>;
  readonly recovery: Result<RecoveryBudget>;
  /** `null` without an own speed, or without a flight. */
  readonly feasible: Feasibility | null;
}

/** The time, ms, from the opponent's contact to the athlete's at a target. A problem names what cannot fly so. */
export function targetBudget(
  { letter, name, at }: Pick<Target, 'letter' | 'name' | 'at'>,
  { projectile, speed, ownSpeed, coming, handlingMs }: Rally,
  own: OwnSpeed | null,
): TargetBudget {
  const way = wayTo(at, coming);
  const back = wayTo(coming.opponent, { ...coming, opponent: at });
  const flight = flightOf({ projectile, launchSpeed: speed, ...way });
  const distanceM = distance(HOME, at);
  return {
    ...{ letter, name, distanceM, wayM: way.distanceM, flight },
    recovery: recoveryBudget({ projectile, launchSpeed: ownSpeed, ...back }, handlingMs),
    feasible:
      own && flight.ok
        ? feasibility(1000 * flight.value.timeS, distanceM, {
            reactionMs: own.reactionMs,
            travel: own.travel,
            scatterMs: 1000 * own.travel.residualSdS,
          })
        : null,
  };
}

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

/** The budget with least to spare for an athlete's own speed; without one, with least time. */
export function tightestBudget(budgets: readonly TargetBudget[]): TargetBudget | null {
  const [tightest] = budgets
    .flatMap((budget) =>
      budget.flight.ok
        ? [{ budget, leftMs: budget.feasible?.spareMs ?? 1000 * budget.flight.value.timeS }]
        : [],
    )
    .sort((a, b) => a.leftMs - b.leftMs);
  return tightest?.budget ?? null;
}
