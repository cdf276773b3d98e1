import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../parts/Button.js';
import { count } from '../parts/format.js';
import { Headline, Quiet } from '../parts/Text.js';
import { finishedReps, lastRep, type Run } from '../drill/run.js';

const Box = styled.div`
  display: grid;
  align-content: center;
  justify-items: start;
  gap: 18px;
  height: 100%;
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 12px;
  }
  button {
    min-height: 60px;
    font-size: 18px;
  }
`;

/** The set stands still: paused, or every cue answered. Says what is kept and what can be done. */
export function Break({
  run,
  onGoOn,
  onRedo,
  onStrike,
  onEnd,
}: {
  run: Run;
  onGoOn: () => void;
  onRedo: () => void;
  onStrike: () => void;
  onEnd: () => void;
}): ReactElement {
  const done = finishedReps(run).length;
  const last = lastRep(run);
  const complete = run.state === 'complete';
  return (
    <Box>
      <Headline>
        {complete ? 'Set done.' : `Paused after ${done} of ${run.plan.cues.length}.`}
      </Headline>
      <Quiet>
        {done === 0 ? 'No rep is finished yet.' : `${count(done, 'rep')} kept on this device.`}
      </Quiet>
      <div className="ways">
        {complete ? (
          <Button weight="main" autoFocus onPress={onEnd}>
            See where the time went
          </Button>
        ) : (
          <>
            <Button weight="main" autoFocus onPress={onGoOn}>
              Go on
            </Button>
            <Button onPress={onEnd}>
              {done === 0 ? 'Leave without a set' : `Stop here, keep ${count(done, 'rep')}`}
            </Button>
          </>
        )}
        {last && (
          <>
            <Button onPress={onRedo}>Redo rep {last.ordinal}</Button>
            <Button onPress={onStrike}>
              {last.struckOut ? `Put rep ${last.ordinal} back` : `Strike out rep ${last.ordinal}`}
            </Button>
          </>
        )}
      </div>
    </Box>
  );
}
