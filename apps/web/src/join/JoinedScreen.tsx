import { useEffect, useSyncExternalStore, type ReactElement } from 'react';
import styled from 'styled-components';
import type { EventName } from '@orthokin/core/timing';
import { useHand } from '../drill/hand.js';
import type { Channel } from '../live/channel.js';
import type { Ask } from '@orthokin/contract/live-messages';
import { Button } from '../parts/Button.js';
import { Headline, Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { FullScreen } from '../screens/FullScreen.js';
import { useAwake } from '../screens/useAwake.js';
import { CallKeypad } from '../screens/CallKeypad.js';
import { CueDisplay } from '../screens/CueDisplay.js';
import { TimingButtons } from '../screens/TimingButtons.js';
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
  .panel {
    display: grid;
    gap: 12px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .row button {
    min-height: 56px;
  }
`;

type Role = 'cues' | 'caller' | 'panel';

function Connection({ channel }: { channel: Channel }): ReactElement | null {
  const { connected } = useSyncExternalStore(channel.subscribe, channel.snapshot);
  return connected ? null : <span role="alert">{say('notConnectedTryingAgain')}</span>;
}

/** What a partner or a coach presses on a joined screen. */
function Presses({ role, joined }: { role: Role; joined: Joined }): ReactElement | null {
  const { channel, clock, set, run } = joined;
  const { hand } = useHand();
  if (!channel || !set || !run) return null;
  const ask = (wanted: Ask) => channel.tell('ask', wanted);
  if (role === 'caller')
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
  if (role !== 'panel') return null;
  const press = (name: EventName, pressedAt: number) => {
    const at = clock?.toHost(pressedAt - hand.biasMs);
    if (at) ask({ act: 'press', name, atMs: at.epochMs, sdMs: Math.hypot(hand.sdMs, at.sdMs) });
  };
  const isOpen = (name: EventName) =>
    (run.state === 'cued' || (run.state === 'waiting' && name === 'firstMove')) &&
    !run.openEvents.includes(name);
  const running = run.state === 'waiting' || run.state === 'cued';
  return (
    <div className="panel">
      <div className="row">
        {set.faults.map(({ fault, name }) => (
          <Button
            key={fault}
            weight={run.faults.includes(fault) ? 'main' : 'plain'}
            onPress={() => ask({ act: 'fault', fault })}
          >
            {name}
          </Button>
        ))}
      </div>
      {set.isByHand && <TimingButtons isOpen={isOpen} onEvent={press} />}
      <div className="row">
        {run.state !== 'complete' && (
          <Button onPress={() => ask({ act: running ? 'pause' : 'goOn' })}>
            {running ? say('pause') : say('go')}
          </Button>
        )}
        <Button onPress={() => ask({ act: 'redo' })}>{say('redo')}</Button>
        <Button onPress={() => ask({ act: 'strike' })}>{say('strikeOutPutBack')}</Button>
      </div>
    </div>
  );
}

/** A screen that has joined: the cue, and what is pressed here. */
export function JoinedScreen({ room, role }: { room: string; role: Role }): ReactElement {
  const joined = useJoined(room, role);
  const { channel, set, run, shown } = joined;
  useAwake();
  useEffect(() => {
    document.title = `${room} · Orthokin`;
  }, [room]);
  return (
    <Screen data-theme="dark">
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
      {set ? (
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
      <Presses role={role} joined={joined} />
    </Screen>
  );
}
