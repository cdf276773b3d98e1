import type { AthleteRepsReply } from '@orthokin/contract';
import type { CourseDuration } from '@orthokin/core/stats';
import { useAthleteReps, useCourse } from '../api/review.js';

/**
 * An athlete's counted reps on a pattern, of the newest kind of sets in which a duration was timed;
 * `undefined` while they are read, `null` when there is no such set.
 */
export function usePooledReps(
  athleteId: string,
  patternId: string,
  timed: CourseDuration,
): AthleteRepsReply | null | undefined {
  const course = useCourse(athleteId);
  const newest = course.data?.sets.findLast(
    (set) => set.patternId === patternId && set.figures.mediansMs[timed] !== undefined,
  );
  const reps = useAthleteReps(
    athleteId,
    newest
      ? {
          patternId: newest.patternId,
          patternVersion: newest.patternVersion,
          ...{ source: newest.source, sense: newest.sense },
        }
      : null,
  );
  return course.data && !newest ? null : reps.data;
}
