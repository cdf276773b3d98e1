import type { SetReviewReply } from '@orthokin/contract';
import { onScale } from '@orthokin/core/footwork';
import { rungOf, type CoachLimit, type Pattern } from '@orthokin/core/pattern';
import type { Fault } from '@orthokin/core/timing';
import { cueBeep } from '../screens/sounds.js';
import { calledReps, type CalledRep } from './mark/marks.js';

/** What a film shows: a set that was run, or somebody doing a pattern. */
export interface FilmSubject {
  /** The id of the set or the pattern. */
  readonly id: string;
  /** The athlete's name, or the pattern's. */
  readonly name: string;
  readonly athleteId: string | null;
  /** The pattern, including its layout on the floor. */
  readonly pattern: Pattern;
  readonly floor: Pattern;
  readonly reps: readonly CalledRep[];
  /** The pitch of each rep's cue, Hz; `null` for a cue without a tone. */
  readonly cueHz: readonly (number | null)[];
  readonly watched: readonly Fault[];
  /** The rung's limits for the coach's own events. */
  readonly coachLimits: readonly CoachLimit[];
  /** The set that marks are stored with; `null` for a pattern's film, whose marks stay on this device. */
  readonly review: SetReviewReply | null;
}

/** A film of a set. */
export function subjectOfSet(review: SetReviewReply): FilmSubject {
  const { set, athlete, pattern } = review;
  const rung = rungOf(pattern, set.rung);
  const reps = calledReps(review);
  return {
    ...{ id: set.id, name: athlete.name, athleteId: athlete.id, pattern, reps, review },
    floor: onScale(pattern, rung?.floorScale ?? 1),
    cueHz: reps.map(
      ({ target }) => cueBeep({ pattern, conditions: set.conditions }, target)?.hz ?? null,
    ),
    watched: set.conditions.watched,
    coachLimits: rung?.coachLimits ?? [],
  };
}

/** A film of a pattern: one rep to each target, whose cue is marked by eye. */
export function subjectOfPattern(pattern: Pattern & { readonly id: string }): FilmSubject {
  const { id } = pattern;
  const reps = pattern.targets.map(({ letter }, i): CalledRep => ({
    ...{ id: `${id}.${letter}`, ordinal: i + 1, target: letter, events: [], seenFaults: [] },
    ...{ struckOut: false, replaces: null },
    cue: { name: 'cue', atMs: 0, sdMs: 0, source: 'film' },
  }));
  return {
    ...{ id, name: pattern.name, athleteId: null, pattern, floor: pattern, reps, review: null },
    ...{ cueHz: reps.map(() => null), watched: [], coachLimits: [] },
  };
}
