import type { PlanReply } from '@orthokin/contract';
import { useEffect, type ReactElement } from 'react';
import { usePlan } from '../api/plans.js';
import { BothSides } from '../parts/BothSides.js';
import { Failed } from '../parts/Notice.js';
import { Quiet } from '../parts/Text.js';
import { otherwisePlanned, say } from '../words/plan.js';
import { plannedOf, type Planned } from './planned.js';

/** Somebody else changed the session: shows both versions to choose from. */
export function Overtaken({
  planId,
  mine,
  nameOf,
  keepMine,
  keepTheirs,
}: {
  planId: string;
  mine: Planned;
  nameOf: (athleteId: string) => string;
  keepMine: (theirs: PlanReply) => void;
  keepTheirs: () => void;
}): ReactElement {
  const { data: theirs, error, isFetchedAfterMount, refetch } = usePlan(planId);
  useEffect(() => void refetch(), [refetch]);
  if (error) return <Failed error={error} again={() => void refetch()} />;
  if (!theirs || !isFetchedAfterMount) return <Quiet>{say('readingTheirs')}</Quiet>;
  return (
    <BothSides
      title={say('overtaken')}
      rows={otherwisePlanned(mine, plannedOf(theirs), nameOf)}
      onMine={() => keepMine(theirs)}
      onTheirs={keepTheirs}
    />
  );
}
