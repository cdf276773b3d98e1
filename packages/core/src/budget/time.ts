import { ok, wrong, type Result } from '../result/index.js';
import type { Flight } from './flight.js';
import { travelTime, type TravelModel } from './travel.js';

/** Load stances by the time there is to spare at arrival. */
export const SPARE_STANCES = ['open', 'semi-open', 'stepped in'] as const;
export type SpareStance = (typeof SPARE_STANCES)[number];

/** Time to spare at arrival, ms, under which a load stays open and over which there is time to step in. */
export interface StanceLimits {
  /** Below this stay open on the outside leg, ms. */
  readonly openBelowMs: number;
  /** Above this there is time to step in, ms. */
  readonly stepInAboveMs: number;
}

/** The handbook's limits, section 3. */
export const USUAL_STANCE_LIMITS: StanceLimits = { openBelowMs: 150, stepInAboveMs: 350 };

/** The load stance that the time to spare (budget − response, ms) allows. */
export const stanceFor = (
  spareMs: number,
  { openBelowMs, stepInAboveMs } = USUAL_STANCE_LIMITS,
): SpareStance =>
  spareMs < openBelowMs ? 'open' : spareMs > stepInAboveMs ? 'stepped in' : 'semi-open';

/** Home and settled before the opponent's next contact: the own object's flight and the handling of it. */
export interface RecoveryBudget {
  readonly flight: Flight;
  readonly handlingMs: number;
  readonly totalMs: number;
}

/** The time, ms, for all of the way home: the flight of the athlete's own object to the opponent, and the opponent's handling. */
export function recoveryBudget(flight: Result<Flight>, handlingMs: number): Result<RecoveryBudget> {
  if (!(handlingMs >= 0)) return wrong('handlingMs', handlingMs, '0 ms or more');
  if (!flight.ok) return flight;
  const totalMs = 1000 * flight.value.timeS + handlingMs;
  return ok({ flight: flight.value, handlingMs, totalMs });
}

/** What an athlete needs to a target, from their own reaction and their own travel line. */
export interface Feasibility {
  readonly needsMs: number;
  /** Budget − need: what is to spare at arrival; below 0 it cannot be reached in time. */
  readonly spareMs: number;
  /**
   * `yes` and `no` leave twice the travel line's own scatter between need and budget; `only just`
   * lies within it.
   */
  readonly verdict: 'yes' | 'only just' | 'no';
  readonly stance: SpareStance;
}

const SCATTERS = 2;

/**
 * Whether a target `distanceM` away can be reached within the budget: own reaction plus the shortest
 * travel by the own fitted line. `scatterMs` is how far single ways lie from that line, typically.
 */
export function feasibility(
  budgetMs: number,
  distanceM: number,
  athlete: {
    readonly reactionMs: number;
    readonly travel: TravelModel;
    readonly scatterMs: number;
  },
): Feasibility {
  const needsMs = athlete.reactionMs + 1000 * travelTime(distanceM, athlete.travel);
  const spareMs = budgetMs - needsMs;
  const margin = SCATTERS * athlete.scatterMs;
  return {
    needsMs,
    spareMs,
    verdict: spareMs >= margin ? 'yes' : spareMs > -margin ? 'only just' : 'no',
    stance: stanceFor(spareMs),
  };
}
