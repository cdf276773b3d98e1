import type { Marks } from '@orthokin/core/film';
import type { CoachLimit } from '@orthokin/core/pattern';
import { coachEventNames, MOST_COACH_EVENTS, type Rep } from '@orthokin/core/timing';
import { useRemembered } from '../../device/useRemembered.js';

/** The coach's own events that can be marked. */
export interface CoachEventNames {
  readonly names: readonly string[];
  /** Those no rung and no rep of this set uses: they can be removed from the list. */
  readonly idle: readonly string[];
  readonly add: (name: string) => void;
  readonly remove: (name: string) => void;
}

/** The rung's events first, then those reps already have, then those added on this device. */
export function useCoachEventNames(
  limits: readonly CoachLimit[],
  reps: readonly Rep[],
  marks: Marks,
): CoachEventNames {
  const [added, setAdded] = useRemembered<readonly string[]>('film-coach-events', []);
  const used = new Set([
    ...limits.map(({ event }) => event),
    ...coachEventNames(reps),
    ...Object.values(marks).flatMap(({ coachFrames = {} }) => Object.keys(coachFrames)),
  ]);
  return {
    names: [...new Set([...used, ...added])].slice(0, MOST_COACH_EVENTS),
    idle: added.filter((name) => !used.has(name)),
    add: (name) => setAdded([...added, name]),
    remove: (name) => setAdded(added.filter((each) => each !== name)),
  };
}
