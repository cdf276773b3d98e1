import { distance, HOME, type Point, type Target } from '../floor/index.js';
import { ok, type Result } from '../result/index.js';
import { aimedArc, type Aim, type AimedArc, type Lift } from './aim.js';
import { flightOf, type Flight } from './flight.js';
import { ownFeasibility, ownWay, type OwnSpeed } from './own-speed.js';
import type { Projectile } from './projectile.js';
import { recoveryBudget, type Feasibility, type RecoveryBudget } from './time.js';
import { wayTo, type Coming } from './way.js';

/** Where it is taken at one target, where that differs from the marker and from the others. */
export interface Taken {
  readonly at?: Point;
  /** As in {@link Coming}; `undefined`: as at all targets. */
  readonly bounceBeforeM?: number | null;
}

/** What is settled of a rally, to reckon how much time there is. */
export interface Rally {
  readonly projectile: Projectile;
  /** Off the opponent, and off the athlete, m/s. */
  readonly speed: number;
  readonly ownSpeed: number;
  readonly coming: Coming;
  /** The opponent's handling, ms. */
  readonly handlingMs: number;
  /** With height reckoned; level flight when absent. */
  readonly lift?: Lift | null;
  /** By letter of the target. */
  readonly taken?: Readonly<Record<string, Taken>>;
  /** Where the athlete waits; home base when absent. */
  readonly waitsAt?: Point;
}

/** How much time there is to one target, and whether it is enough. */
export interface TargetBudget {
  readonly letter: string;
  readonly name: string;
  /** Where it is taken, and how far the athlete goes for it from where they wait, m. */
  readonly at: Point;
  readonly distanceM: number;
  /** What flies, from the opponent to here, m. */
  readonly wayM: number;
  readonly flight: Result<Flight>;
  /** With height: how it flies. */
  readonly arc: AimedArc | null;
  readonly recovery: Result<RecoveryBudget>;
  /** `null` without an own speed, or without a flight. */
  readonly feasible: Feasibility | null;
}

/** How it comes to a target: as to all of them, but for what was settled for this one. */
export function comingTo({ coming, taken = {} }: Rally, letter: string): Coming {
  const bounceBeforeM = taken[letter]?.bounceBeforeM;
  return bounceBeforeM === undefined ? coming : { ...coming, bounceBeforeM };
}

/** Where it is taken at a target: at the marker, or where that was moved to. */
export const takenAt = ({ taken = {} }: Rally, { letter, at }: Pick<Target, 'letter' | 'at'>) =>
  taken[letter]?.at ?? at;

/** The aim of a flight with height along a way seen from above. */
export function aimAlong(
  rally: Pick<Rally, 'projectile' | 'coming'>,
  lift: Lift,
  launchSpeed: number,
  way: { readonly distanceM: number; readonly wallAtM: number | null },
): Aim {
  const { projectile, coming } = rally;
  return {
    ...{ projectile, launchSpeed, distanceM: way.distanceM, launchHeightM: lift.struckM },
    ...{ takenM: lift.takenM, isLobbed: lift.isLobbed },
    ...{ alongKept: lift.alongKept, upKept: lift.upKept },
    bounceBeforeM: coming.bounceBeforeM,
    wall: way.wallAtM === null ? null : { atM: way.wallAtM, speedKept: coming.speedKept },
  };
}

/** A flight from one place to another at a speed, level or with height. */
function flightAlong(
  rally: Rally,
  coming: Coming,
  to: Point,
  launchSpeed: number,
): { readonly flight: Result<Flight>; readonly arc: AimedArc | null; readonly wayM: number } {
  const { projectile, lift } = rally;
  const way = wayTo(to, coming);
  const wayM = way.distanceM;
  if (!lift) return { flight: flightOf({ projectile, launchSpeed, ...way }), arc: null, wayM };
  const arc = aimedArc(aimAlong({ projectile, coming }, lift, launchSpeed, way));
  if (!arc.ok) return { flight: arc, arc: null, wayM };
  const { timeS, speed } = arc.value;
  const plainTimeS = wayM / launchSpeed;
  const flight = { timeS, arrivalSpeed: speed, plainTimeS, plainOffShare: timeS / plainTimeS - 1 };
  return { flight: ok(flight), arc: arc.value, wayM };
}

/** The time, ms, from the opponent's contact to the athlete's at a target. A problem names what cannot fly so. */
export function targetBudget(
  target: Pick<Target, 'letter' | 'name' | 'at'>,
  rally: Rally,
  own: OwnSpeed | null,
): TargetBudget {
  const { letter, name } = target;
  const coming = comingTo(rally, letter);
  const at = takenAt(rally, target);
  const { flight, arc, wayM } = flightAlong(rally, coming, at, rally.speed);
  const back = { ...coming, opponent: at };
  const home = flightAlong(rally, back, coming.opponent, rally.ownSpeed).flight;
  const awayM = distance(rally.waitsAt ?? HOME, at);
  const distanceM = ownWay(own, awayM);
  return {
    ...{ letter, name, at, distanceM, wayM, flight, arc },
    recovery: recoveryBudget(home, rally.handlingMs),
    feasible: own && flight.ok ? ownFeasibility(own, 1000 * flight.value.timeS, awayM) : null,
  };
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
