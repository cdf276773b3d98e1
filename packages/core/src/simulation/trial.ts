import { uniform, type FreezeAt, type Random } from '../cue/index.js';
import type { Point } from '../floor/index.js';
import { eventOf, type EventName } from '../timing/index.js';
import type { SimulatedAthlete } from './athlete.js';
import { simulateRep, type SimulatedCue, type SimulatedRep } from './rep.js';

/** What is out of the ordinary in a simulated rep. */
export interface SimulatedTrial {
  /** No cue comes. */
  readonly catch?: boolean;
  /** The athlete is called to a stop there. */
  readonly freezeAt?: FreezeAt;
  /** The cue changes to another target, so long after it. */
  readonly switchTo?: { readonly at: Point; readonly afterMs: number };
}

/** What does not happen any more once the athlete is called to a stop. */
const AFTER: Readonly<Record<FreezeAt, readonly EventName[]>> = {
  split: ['firstMove', 'arrival', 'action', 'departure', 'home'],
  load: ['action', 'departure', 'home'],
  recovery: [],
};

/** Seeing that a cue has changed costs about this beyond the change itself, ms. */
const SECOND_LOOK_MS = 60;
const EARLY_MS = [-80, 250] as const;

/**
 * A repetition of a simulated athlete as the trial asks: who goes early moves on a catch trial as
 * often as they guess, and sets off for the wrong target twice as often.
 */
export function simulateTrial(
  athlete: SimulatedAthlete,
  cue: SimulatedCue,
  trial: SimulatedTrial,
  random: Random,
): SimulatedRep {
  if (trial.catch) {
    const moves = random() < athlete.falseStartShare;
    const atMs = Math.round(cue.atMs + uniform(random, ...EARLY_MS));
    return {
      events: moves ? [{ name: 'firstMove', atMs, sdMs: 0, source: 'simulated' }] : [],
      seenFaults: [],
    };
  }
  const { switchTo, freezeAt } = trial;
  if (freezeAt) {
    const { events, seenFaults } = simulateRep(athlete, cue, random);
    return { events: events.filter(({ name }) => !AFTER[freezeAt].includes(name)), seenFaults };
  }
  if (!switchTo) return simulateRep(athlete, cue, random);
  const { events, seenFaults } = simulateRep(athlete, { ...cue, target: switchTo.at }, random);
  const firstMoveMs = eventOf(events, 'firstMove')?.atMs ?? cue.atMs;
  const lateMs = Math.round(switchTo.afterMs + SECOND_LOOK_MS);
  return {
    events: events.map((event) =>
      event.atMs >= firstMoveMs && event.name !== 'cue'
        ? { ...event, atMs: event.atMs + lateMs }
        : event,
    ),
    seenFaults: random() < 2 * athlete.falseStartShare ? [...seenFaults, 'wrong way'] : seenFaults,
  };
}
