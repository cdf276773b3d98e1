import { ownSpeedOf, type OwnSpeed } from '@orthokin/core/budget';
import type { Pattern } from '@orthokin/core/pattern';
import { wrong, type Result } from '@orthokin/core/result';
import { useMemo } from 'react';
import { say } from '../words/ladder.js';
import { usePooledReps } from './usePooledReps.js';

/** An athlete's own speed on a pattern; `null` while it is read. */
export function useOwnSpeed(
  athleteId: string,
  pattern: Pick<Pattern, 'targets'> & { readonly id: string },
): Result<OwnSpeed> | null {
  const reps = usePooledReps(athleteId, pattern.id, 'travel');
  return useMemo(() => {
    if (reps === null) return wrong('sets', 0, say('noTimedSetYet'));
    return reps ? ownSpeedOf(reps, pattern) : null;
  }, [reps, pattern]);
}
