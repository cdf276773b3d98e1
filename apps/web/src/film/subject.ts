import type { SetReviewReply } from '@orthokin/contract';
import { onScale } from '@orthokin/core/footwork';
import { rungOf, type CoachLimit, type Pattern } from '@orthokin/core/pattern';
import type { Fault } from '@orthokin/core/timing';
import { cueBeep } from '../screens/sounds.js';
import { calledReps, type CalledRep } from './mark/marks.js';

/** What a film is of: a set that was run, or a pattern as somebody does it. */
export interface FilmSubject {
  /** The set's id, or the pattern's. */
  readonly id: string;
  /** Whose film it is: the athlete's name, or the pattern's. */
  readonly name: string;
  readonly athleteId: string | null;
  /** As it is taught, and as it was laid out. */
  readonly pattern: Pattern;
  readonly floor: Pattern;
  readonly reps: readonly CalledRep[];
  /** Pitch of each rep's cue, Hz; `null` of one that has no tone. */
  readonly cueHz: readonly (number | null)[];
  readonly watched: readonly Fault[];
  /** What the rung asks of events of the coach's own. */
  readonly coachLimits: readonly CoachLimit[];
  /** The set with which marks are kept; of a pattern's film they stay on this device. */
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

/** A film of a pattern: a rep to each of its targets, whose cue somebody marks where they see it. */
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
