import type { Pattern } from '@orthokin/core/pattern';
import { wrong, type Result } from '@orthokin/core/result';
import { useMemo } from 'react';
import { usePooledReps } from '../usePooledReps.js';
import { ownSpeedOf, type OwnSpeed } from './plan.js';

/** An athlete's own speed on a pattern; `null` while it is read. */
export function useOwnSpeed(
  athleteId: string,
  pattern: Pick<Pattern, 'targets'> & { readonly id: string },
): Result<OwnSpeed> | null {
  const reps = usePooledReps(athleteId, pattern.id);
  return useMemo(() => {
    if (reps === null) return wrong('sets', 0, 'a timed set on this pattern');
    return reps ? ownSpeedOf(reps, pattern) : null;
  }, [reps, pattern]);
}
