import { travelTime } from '../budget/index.js';
import { exponential, normal, uniform, type Random } from '../cue/index.js';
import { distance, HOME, sideOf, type Point } from '../floor/index.js';
import type { EventName, Fault, TimedEvent } from '../timing/index.js';
import type { SimulatedAthlete } from './athlete.js';

/** What the simulated athlete is cued to do. */
export interface SimulatedCue {
  /** When the cue is perceivable, on the set's clock. */
  readonly atMs: number;
  readonly target: Point;
  /** Reps of this set already done: fade grows with them. */
  readonly repsBefore: number;
  /** Sessions of practice before this one: learning grows with them. */
  readonly sessionsBefore: number;
  /** The day's form, as `formOn` gives it; 0 where it is not said. */
  readonly form?: number;
}

/** What the simulated athlete did: events, ms after the cue. */
export interface SimulatedRep {
  readonly events: readonly TimedEvent[];
  readonly seenFaults: readonly Fault[];
}

/** Sd of ln(time) from rep to rep in travel, load and action. */
const EFFORT_SPREAD = 0.045;
/** A split-step in the air lasts about this long. */
const SPLIT_AIR_MS = 150;
const SPLIT_LANDING = { meanMs: 40, sdMs: 38 } as const;
const GUESS_MS = [-60, 90] as const;
const CUT_SHORT_SHARE = 0.03;

/** How many times the fully practised, fresh times this rep takes. */
export const effortFactor = (
  { learning, fadePerRep }: SimulatedAthlete,
  {
    sessionsBefore,
    repsBefore,
    form = 0,
  }: Pick<SimulatedCue, 'sessionsBefore' | 'repsBefore' | 'form'>,
): number =>
  (1 + learning.gain * Math.exp(-learning.ratePerSession * sessionsBefore)) *
  (1 + fadePerRep * repsBefore) *
  (1 + form);

/**
 * One repetition of a simulated athlete: the events of a whole rep, exact (sd 0) and in whole ms.
 * The same random stream gives the same rep.
 */
export function simulateRep(
  athlete: SimulatedAthlete,
  cue: SimulatedCue,
  random: Random,
): SimulatedRep {
  const factor = effortFactor(athlete, cue);
  const varied = (ms: number) => ms * factor * Math.exp(normal(random, 0, EFFORT_SPREAD));
  const side = sideOf(cue.target);
  const sided = side !== null && side === athlete.weakSide?.side ? athlete.weakSide.factor : 1;
  const wayMs = 1000 * travelTime(distance(HOME, cue.target), athlete.travel) * sided;

  const { muMs, sigmaMs, tauMs } = athlete.reaction;
  const read = normal(random, muMs, sigmaMs) + exponential(random, tauMs);
  const guesses = random() < athlete.falseStartShare;
  const reaction = guesses ? uniform(random, ...GUESS_MS) : Math.max(120, read * factor);
  const splitLanding = Math.min(
    reaction - 40,
    normal(random, SPLIT_LANDING.meanMs, SPLIT_LANDING.sdMs),
  );
  const arrival = reaction + varied(wayMs);
  const action = arrival + varied(athlete.loadMs);
  const departure = action + varied(athlete.actionMs);
  const home = departure + varied(wayMs * athlete.recoveryFactor);

  const offsets: [EventName, number][] = [
    ['splitTakeoff', splitLanding - SPLIT_AIR_MS],
    ['splitLanding', splitLanding],
    ['cue', 0],
    ['firstMove', reaction],
    ['arrival', arrival],
    ['action', action],
    ['departure', departure],
    ['home', home],
  ];
  return {
    events: offsets.map(([name, offset]) => ({
      name,
      atMs: Math.round(cue.atMs + offset),
      sdMs: 0,
      source: 'simulated',
    })),
    seenFaults: random() < CUT_SHORT_SHARE ? ['short of home'] : [],
  };
}
