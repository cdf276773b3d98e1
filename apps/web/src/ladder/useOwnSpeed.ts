import { ownSpeedOf, type OwnSpeed } from '@orthokin/core/budget';
import type { Build, Pattern } from '@orthokin/core/pattern';
import { ownReach, type OwnReach } from '@orthokin/core/people';
import { wrong, type Result } from '@orthokin/core/result';
import { useMemo } from 'react';
import { usePeople } from '../api/people.js';
import { say } from '../words/ladder.js';
import { usePooledReps } from './usePooledReps.js';

type OnPattern = Pick<Pattern, 'targets' | 'court'> & {
  readonly id: string;
  readonly laidFor: Pick<Build, 'reachM'>;
};

/** The athlete's reach on a pattern's court; `null` until athletes are loaded. */
export function useOwnReach(athleteId: string, { court, laidFor }: OnPattern): OwnReach | null {
  const { data } = usePeople();
  const person = data?.find(({ id }) => id === athleteId);
  return useMemo(
    () => (data ? ownReach(person ?? {}, { court, laidFor }) : null),
    [data, person, court, laidFor],
  );
}

/** An athlete's own travel line and reach on a pattern; `null` while loading. */
export function useOwnSpeed(athleteId: string, pattern: OnPattern): Result<OwnSpeed> | null {
  const reps = usePooledReps(athleteId, pattern.id, 'travel');
  const reach = useOwnReach(athleteId, pattern);
  return useMemo(() => {
    if (reps === null) return wrong('sets', 0, say('noTimedSetYet'));
    return reps && reach ? ownSpeedOf(reps, pattern, reach) : null;
  }, [reps, pattern, reach]);
}
