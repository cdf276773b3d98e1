import { distance, HOME } from '../floor/index.js';
import { median } from '../numeric/index.js';
import { targetOf, type Pattern } from '../pattern/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { fitTravel, type TravelFit } from './fit-travel.js';
import { feasibility, type Feasibility } from './time.js';

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

/** Whether an athlete's own speed makes a way within a budget, ms. */
export const ownFeasibility = (
  { reactionMs, travel }: OwnSpeed,
  budgetMs: number,
  distanceM: number,
): Feasibility =>
  feasibility(budgetMs, distanceM, {
    ...{ reactionMs, travel },
    scatterMs: 1000 * travel.residualSdS,
  });
