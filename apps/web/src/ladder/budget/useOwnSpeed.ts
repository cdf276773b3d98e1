import type { Pattern } from '@orthokin/core/pattern';
import type { Result } from '@orthokin/core/result';
import { useMemo } from 'react';
import { useAthleteReps, useCourse } from '../../club/queries.js';
import { ownSpeedOf, type OwnSpeed } from './plan.js';

/** An athlete's own speed on a pattern, out of the newest kind of sets; `null` while it is read. */
export function useOwnSpeed(
  athleteId: string,
  pattern: Pick<Pattern, 'targets'> & { readonly id: string },
): Result<OwnSpeed> | null {
  const course = useCourse(athleteId);
  const newest = course.data?.sets.filter(({ patternId }) => patternId === pattern.id).at(-1);
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
  return useMemo(() => {
    if (course.data && !newest)
      return {
        ok: false,
        problem: { field: 'sets', given: '0', allowed: 'a timed set on this pattern' },
      };
    return reps.data ? ownSpeedOf(reps.data, pattern) : null;
  }, [course.data, newest, reps.data, pattern]);
}
