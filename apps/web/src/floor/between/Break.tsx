import { auditCalls } from '@orthokin/core/drill';
import { rungOf } from '@orthokin/core/pattern';
import { useEffect, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { LOW } from '../../parts/tokens.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { finishedReps, hasTechniqueGone, lastRep, repsDue } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import { Answer } from './Answer.js';
import { auditSentence } from '../../words/audit.js';
import type { DrillActs } from '../acts/useDrillActs.js';
import { say } from '../../words/floor.js';
import { SayThisOfRun } from './SayThisOfRun.js';
import { Ways } from './Ways.js';

const Box = styled.div`
  display: grid;
  /* From the top down: what is said later must not move a button under a finger. */
  align-content: start;
  justify-items: start;
  gap: 18px;
  height: 100%;
  padding-top: clamp(0px, 10vh, 96px);
  @media ${LOW} {
    gap: 10px;
    padding-top: 4px;
  }
  button {
    min-height: 60px;
    font-size: 18px;
  }
`;

/** Time to redo or strike out the last rep before the rest begins by itself. */
const GO_ON_AFTER_MS = 5000;

/** Audits the calling of a set whose cues were called live. */
function Audit({ run }: { run: Run }): ReactElement | null {
  const { conditions, pattern, rung } = run.plan;
  const calls = finishedReps(run).map(({ target }) => target);
  if (conditions.order !== 'called' || calls.length < 2) return null;
  return <p>{auditSentence(auditCalls(calls, rungOf(pattern, rung)?.targets ?? []))}</p>;
}

/** Shown when the set is paused or all cues are answered: what is stored, and what can be done. */
export function Break({
  run,
  acts,
  goingOn,
  onEnd,
  onNext,
}: {
  run: Run;
  acts: DrillActs;
  /** What follows by itself after this set; `null` if nothing does. */
  goingOn: string | null;
  onEnd: () => void;
  /** Ends the set and goes back to the set-up. */
  onNext: () => void;
}): ReactElement {
  const done = finishedReps(run).length;
  const last = lastRep(run);
  const complete = run.state === 'complete';
  const [began] = useState(run.recorded.length);
  const untouched = run.recorded.length === began;
  useEffect(() => {
    if (!complete || goingOn === null || !untouched) return;
    const timer = setTimeout(onEnd, GO_ON_AFTER_MS);
    return () => clearTimeout(timer);
    // oxlint-disable-next-line react/exhaustive-deps -- a new callback must not restart the wait
  }, [complete, goingOn, untouched]);
  return (
    <Box>
      <Headline>
        {complete
          ? hasTechniqueGone(run)
            ? say('techniqueWent')
            : say('setDone')
          : say('pausedAfterDoneWhich', {
              done,
              which: run.workEndsMs === null ? say('reps', { reps: repsDue(run) }) : '',
            })}
      </Headline>
      <Quiet>{done === 0 ? say('noRepFinishedYet') : say('doneKeptThisDevice', { done })}</Quiet>
      <Ways>
        {complete ? (
          <Button weight="main" autoFocus onPress={onEnd}>
            {goingOn ?? say('seeWhereTimeWent')}
          </Button>
        ) : (
          <>
            <Button weight="main" autoFocus onPress={acts.goOn}>
              {say('go')}
            </Button>
            <Button onPress={onEnd}>
              {done === 0 ? say('leaveWithoutSet') : say('stopHereKeepDone', { done })}
            </Button>
          </>
        )}
        {last && (
          <>
            <Button onPress={acts.redo}>{say('redoRepOrdinal', { ordinal: last.ordinal })}</Button>
            <Button onPress={acts.strike}>
              {last.struckOut
                ? say('putRepOrdinalBack', { ordinal: last.ordinal })
                : say('strikeOutRepOrdinal', { ordinal: last.ordinal })}
            </Button>
          </>
        )}
      </Ways>
      {complete && <SayThisOfRun run={run} />}
      {complete && <Audit run={run} />}
      {complete && <Answer run={run} onNext={goingOn === null ? onNext : null} />}
    </Box>
  );
}
