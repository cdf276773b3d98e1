import {
  feasibility,
  flightOf,
  fitTravel,
  PROJECTILES,
  recoveryBudget,
  wayTo,
  type Coming,
  type Feasibility,
  type Flight,
  type Projectile,
  type RecoveryBudget,
  type SpeedUnit,
  type TravelFit,
} from '@orthokin/core/budget';
import { distance, HOME, type Target } from '@orthokin/core/floor';
import { median } from '@orthokin/core/numeric';
import { targetOf, type Pattern } from '@orthokin/core/pattern';
import { ok, wrong, type Result } from '@orthokin/core/result';
import type { AthleteRepsReply } from '@orthokin/contract';

/** What the coach settles of a rally, to reckon how much time there is. */
export interface RallyPlan {
  readonly projectile: Projectile;
  /** m/s, from the opponent, and from the athlete. */
  readonly speed: number;
  readonly ownSpeed: number;
  readonly unit: SpeedUnit;
  readonly coming: Coming;
  /** The opponent's, from their arrival at the ball to their contact, ms. */
  readonly handlingMs: number;
}

const [SQUASH_BALL] = PROJECTILES;

/** The first of each sport's things that fly. */
const FLIES: Readonly<Record<string, string>> = {
  squash: 'squash ball',
  tennis: 'tennis ball',
  badminton: 'shuttlecock',
  'table tennis': 'table-tennis ball',
  volleyball: 'volleyball',
  handball: 'handball',
  basketball: 'basketball',
  football: 'football (size 5)',
  baseball: 'baseball',
  cricket: 'cricket ball',
};

/** To begin with: what flies in the sport, off the front wall in squash, from across elsewhere. */
export function usualPlan({ sport }: Pick<Pattern, 'sport'>): RallyPlan {
  const name = FLIES[sport.trim().toLowerCase()] ?? 'tennis ball';
  const projectile = PROJECTILES.find((each) => each.name === name) ?? SQUASH_BALL;
  const isSquash = name === 'squash ball';
  return {
    projectile,
    ...{ speed: isSquash ? 14 : 25, ownSpeed: isSquash ? 12 : 20, unit: 'km/h' },
    coming: isSquash
      ? { opponent: { x: 1, y: -1 }, wallForwardM: 5.5, bounceBeforeM: null, speedKept: 0.75 }
      : { opponent: { x: 0, y: 12 }, wallForwardM: null, bounceBeforeM: 2, speedKept: 0.75 },
    handlingMs: 350,
  };
}

/** What an athlete brings: their own reaction and travel line. */
export interface OwnSpeed {
  readonly reactionMs: number;
  readonly travel: TravelFit;
  readonly n: number;
}

/** An athlete's reaction and travel line out of their counted reps. */
export function ownSpeedOf(
  reps: Pick<AthleteRepsReply, 'target' | 'reaction' | 'travel'>,
  pattern: Pick<Pattern, 'targets'>,
): Result<OwnSpeed> {
  const pairs = reps.travel.flatMap((ms, i) => {
    const target = targetOf(pattern, reps.target[i] ?? '');
    return ms === null || !target
      ? []
      : [{ distanceM: distance(HOME, target.at), timeS: ms / 1000 }];
  });
  const travel = fitTravel(pairs);
  if (!travel.ok) return travel;
  const reactions = reps.reaction.filter((ms) => ms !== null);
  if (reactions.length === 0) return wrong('reactions', 0, 'at least one timed reaction');
  return ok({ reactionMs: median(reactions), travel: travel.value, n: pairs.length });
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

export function targetBudget(
  target: Target,
  { projectile, speed, ownSpeed, coming, handlingMs }: RallyPlan,
  own: OwnSpeed | null,
): TargetBudget {
  const way = wayTo(target.at, coming);
  const flight = flightOf({
    ...{ projectile, launchSpeed: speed },
    ...way,
  });
  const back = wayTo(coming.opponent, { ...coming, opponent: target.at });
  const recovery = recoveryBudget({ projectile, launchSpeed: ownSpeed, ...back }, handlingMs);
  const distanceM = distance(HOME, target.at);
  return {
    ...{ letter: target.letter, name: target.name, distanceM, wayM: way.distanceM },
    ...{ flight, recovery },
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
