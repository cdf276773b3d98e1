import type { AthleteBody } from '@orthokin/contract';
import type { LengthUnit } from '@orthokin/core/floor';
import { useEffect, type ReactElement } from 'react';
import { useClub } from '../api/club.js';
import { usePeople } from '../api/people.js';
import { BothSides } from '../parts/BothSides.js';
import { Failed } from '../parts/Notice.js';
import { Quiet } from '../parts/Text.js';
import { otherwiseKnown, say } from '../words/people.js';
import { bodyOf } from './person-body.js';

/** Somebody else changed the athlete: shows both versions to choose from. */
export function OvertakenPerson({
  athleteId,
  mine,
  patterns,
  unit,
  isPending,
  onMine,
  onTheirs,
}: {
  athleteId: string;
  mine: AthleteBody;
  patterns: readonly (readonly [id: string, name: string])[];
  unit: LengthUnit;
  isPending: boolean;
  /** Saves this version over the other. */
  onMine: (revision: number) => void;
  onTheirs: () => void;
}): ReactElement {
  const { faults } = useClub();
  const { data, error, isFetchedAfterMount, refetch } = usePeople();
  useEffect(() => void refetch(), [refetch]);
  const now = data?.find(({ id }) => id === athleteId);
  if (error) return <Failed error={error} again={() => void refetch()} />;
  if (!now || !isFetchedAfterMount) return <Quiet>{say('readingTheirs')}</Quiet>;
  return (
    <BothSides
      title={say('overtaken', { name: now.name })}
      rows={otherwiseKnown(mine, bodyOf(now), {
        ...{ patterns: new Map(patterns), unit, faults },
      })}
      isPending={isPending}
      onMine={() => onMine(now.changes + 1)}
      onTheirs={onTheirs}
    />
  );
}
