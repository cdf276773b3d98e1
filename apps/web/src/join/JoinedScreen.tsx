import { useEffect, type ReactElement } from 'react';
import styled from 'styled-components';
import { Headline, Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { FullScreen } from '../screens/FullScreen.js';
import { useAwake } from '../screens/useAwake.js';
import { CallKeypad } from '../screens/CallKeypad.js';
import { CueDisplay } from '../screens/CueDisplay.js';
import { CameraScreen } from './CameraScreen.js';
import { Connection } from './Connection.js';
import { CoachPanel } from './CoachPanel.js';
import { cuePlanOf, useJoined, type Joined } from './useJoined.js';
import { say } from '../words/join.js';

const Screen = styled.main`
  position: fixed;
  inset: 0;
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto;
  gap: 14px;
  padding: 16px 20px;
  background: ${colour('paper')};
  color: ${colour('ink')};
  header {
    display: flex;
    justify-content: space-between;
    gap: 16px;
  }
  .wait {
    align-self: center;
    justify-self: center;
    text-align: center;
  }
  &[data-role='panel'] {
    grid-template-rows: auto minmax(120px, 1fr) auto;
    gap: 8px;
    padding: 12px;
  }
`;

type Role = 'cues' | 'caller' | 'panel' | 'camera';

/** A partner's keypad for calling targets. */
function Caller({ joined: { channel, set, run } }: { joined: Joined }): ReactElement | null {
  if (!channel || !set || !run) return null;
  return set.isCalled ? (
    <CallKeypad
      pattern={cuePlanOf(set).pattern}
      letters={set.inPlay}
      isOpen={run.state === 'waiting'}
      onCall={(letter) => channel.tell('call', { letter })}
    />
  ) : (
    <Quiet>{say('thisSetCallsItsOwnCues')}</Quiet>
  );
}

/** A joined screen: the cue, or what is pressed in its role. */
export function JoinedScreen({ room, role }: { room: string; role: Role }): ReactElement {
  const joined = useJoined(room, role);
  const { channel, set, run, shown } = joined;
  useAwake();
  useEffect(() => {
    document.title = `${room} · Orthokin`;
  }, [room]);
  return (
    <Screen data-theme="dark" data-role={role}>
      <header>
        <Quiet>
          {set ? `${set.athlete}, ${set.pattern}` : room}
          {run &&
            say(run.reps > 0 ? 'finishedRepsDone' : 'finishedDone', {
              finished: run.finished,
              reps: run.reps,
            })}{' '}
          {channel && <Connection channel={channel} />}
        </Quiet>
        <FullScreen />
      </header>
      {role === 'camera' ? (
        <CameraScreen joined={joined} />
      ) : set ? (
        <CueDisplay
          plan={cuePlanOf(set)}
          shown={shown}
          waiting={
            run?.state === 'paused'
              ? 'Paused'
              : run?.state === 'complete'
                ? say('setDone')
                : 'Ready'
          }
        />
      ) : (
        <div className="wait">
          <Headline>{say('joined')}</Headline>
          <Quiet>{say('nextSetShowsHereItself')}</Quiet>
        </div>
      )}
      {role === 'caller' && <Caller joined={joined} />}
      {role === 'panel' && <CoachPanel joined={joined} />}
    </Screen>
  );
}
