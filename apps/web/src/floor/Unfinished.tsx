import { useEffect, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { isBeingRun } from '../log/drill-lock.js';
import { actionsOf, openDrills } from '../log/drill-log.js';
import { Button } from '../parts/Button.js';
import { timeWords } from '../parts/format.js';
import { Notice } from '../parts/Notice.js';
import { finishedReps, replay, type Run } from '../drill/run.js';

const Band = styled.div`
  padding: 16px 28px 0;
  max-width: 1360px;
  margin: 0 auto;
`;

async function newestUnfinished(): Promise<Run | null> {
  for (const { id } of await openDrills())
    // One that another tab is running is not broken off.
    if (!(await isBeingRun(id))) return replay(await actionsOf(id));
  return null;
}

/** A set that was broken off, by a closed tab or a dead battery: go on with it, or end it there. */
export function Unfinished({
  onGoOn,
  onEnd,
}: {
  onGoOn: (drillId: string) => void;
  onEnd: (drillId: string) => Promise<void>;
}): ReactElement | null {
  const [run, setRun] = useState<Run | null>(null);
  useEffect(() => {
    // A browser without storage has nothing unfinished to offer.
    newestUnfinished().then(setRun, () => setRun(null));
  }, []);
  if (!run) return null;
  const { id, athlete, cues, startedAt } = run.plan;
  const end = async () => {
    await onEnd(id);
    setRun(await newestUnfinished());
  };
  return (
    <Band>
      <Notice
        action={
          <>
            <Button weight="main" onPress={() => onGoOn(id)}>
              Go on with the set
            </Button>
            <Button onPress={() => void end()}>End it there</Button>
          </>
        }
      >
        A set with {athlete.name} at {timeWords(startedAt)} was broken off after{' '}
        {finishedReps(run).length} of {cues.length} reps. Nothing of those is lost.
      </Notice>
    </Band>
  );
}
