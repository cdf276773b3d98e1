import type { AthleteRepsReply } from '@orthokin/contract';
import { useAthleteReps, useCourse } from '../club/queries.js';

/**
 * An athlete's counted reps on a pattern, of the newest kind of sets; `undefined` while they are
 * read, `null` when there is no set.
 */
export function usePooledReps(
  athleteId: string,
  patternId: string,
): AthleteRepsReply | null | undefined {
  const course = useCourse(athleteId);
  const newest = course.data?.sets.filter((set) => set.patternId === patternId).at(-1);
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
