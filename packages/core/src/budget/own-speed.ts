import { distance, HOME } from '../floor/index.js';
import { median } from '../numeric/index.js';
import { shortOf, targetOf, type Pattern } from '../pattern/index.js';
import { ok, wrong, type Result } from '../result/index.js';
import { fitTravel, type TravelFit } from './fit-travel.js';
import { feasibility, type Feasibility } from './time.js';

/** What an athlete brings: their own reaction and travel line. */
export interface OwnSpeed {
  readonly reactionMs: number;
  readonly travel: TravelFit;
  /** Timed ways the line is from. */
  readonly n: number;
  /** In a match, how far from where they stand they take what comes, m; 0 where it is not known. */
  readonly reachM?: number;
  /** The same in the drill: 0 where its markers are where the foot goes. */
  readonly drillReachM?: number;
}

/** Reps as columns, as far as an athlete's own speed needs them; ms, `null` where not timed. */
export interface TimedWays {
  readonly target: readonly string[];
  readonly reaction: readonly (number | null)[];
  readonly travel: readonly (number | null)[];
}

/** An athlete's reaction and travel line out of their counted reps; ways end short of a marker by the reach in the drill. */
export function ownSpeedOf(
  { target, reaction, travel }: TimedWays,
  pattern: Pick<Pattern, 'targets'>,
  { reachM = 0, drillReachM = 0 }: Pick<OwnSpeed, 'reachM' | 'drillReachM'> = {},
): Result<OwnSpeed> {
  const pairs = travel.flatMap((ms, i) => {
    const to = targetOf(pattern, target[i] ?? '');
    if (ms === null || !to) return [];
    const awayM = distance(HOME, to.at);
    return [{ distanceM: awayM - shortOf(awayM, drillReachM), timeS: ms / 1000 }];
  });
  const fit = fitTravel(pairs);
  if (!fit.ok) return fit;
  const reactions = reaction.filter((ms) => ms !== null);
  if (reactions.length === 0) return wrong('reactions', 0, 'at least one timed reaction');
  return ok({
    ...{ reactionMs: median(reactions), travel: fit.value, n: pairs.length },
    ...{ reachM, drillReachM },
  });
}

/** How far an athlete goes for what is taken so far away, m: a reach less, as far as that is known. */
export const ownWay = (own: Pick<OwnSpeed, 'reachM'> | null, awayM: number): number =>
  awayM - shortOf(awayM, own?.reachM ?? 0);

/** Whether an athlete's own speed gets them to what is taken so far away, m, within a budget, ms. */
export const ownFeasibility = (own: OwnSpeed, budgetMs: number, awayM: number): Feasibility =>
  feasibility(budgetMs, ownWay(own, awayM), {
    ...{ reactionMs: own.reactionMs, travel: own.travel },
    scatterMs: 1000 * own.travel.residualSdS,
  });
