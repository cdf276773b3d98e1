import type { AthleteCourseReply, AthleteRepsReply, PoolQuery } from '@orthokin/contract';
import type { CourseDuration } from '@orthokin/core/stats';
import { useAthleteReps, useCourse } from '../api/review.js';

/** The newest kind of sets on a pattern in which a duration was timed; `null` when there is none. */
function newestPool(
  course: AthleteCourseReply | undefined,
  patternId: string,
  timed: CourseDuration,
): PoolQuery | null {
  const newest = course?.sets.findLast(
    (set) => set.patternId === patternId && set.figures.mediansMs[timed] !== undefined,
  );
  if (!newest) return null;
  const { patternVersion, source, sense } = newest;
  return { patternId, patternVersion, source, sense };
}

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
  const pool = newestPool(course.data, patternId, timed);
  const reps = useAthleteReps(athleteId, pool);
  return course.data && !pool ? null : reps.data;
}
