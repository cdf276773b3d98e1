import type { Ask, RunNews } from '@orthokin/contract/live-messages';
import type { EventName } from '@orthokin/core/timing';
import { useEffect, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { useHand } from '../drill/hand.js';
import type { PeerClock } from '../live/peer-clock.js';
import { Button } from '../parts/Button.js';
import { colour, MONO } from '../parts/tokens.js';
import { TimingButtons } from '../screens/TimingButtons.js';
import { seconds } from '../words/format.js';
import { say } from '../words/join.js';
import type { Joined } from './useJoined.js';

/** Keys for two thumbs, across the whole screen. */
const Panel = styled.div`
  display: grid;
  gap: 8px;
  .state {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    justify-content: space-between;
    gap: 2px 16px;
    min-height: 34px;
    font: 600 20px ${MONO};
  }
  .state small {
    font-size: 15px;
    font-weight: 450;
    color: ${colour('quiet')};
  }
  .left {
    font-size: 30px;
  }
  .keys {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(104px, 1fr));
    gap: 8px;
  }
  .keys button {
    min-height: 64px;
    padding: 6px 8px;
    font-size: 17px;
    line-height: 1.15;
    white-space: normal;
  }
`;

const TICK_MS = 200;

/** Seconds left in a timed set. */
function Left({ endsAtMs, clock }: { endsAtMs: number; clock: PeerClock }): ReactElement | null {
  const [leftS, setLeftS] = useState<number | null>(null);
  useEffect(() => {
    const tick = () => {
      const endsPage = clock.toPage(endsAtMs);
      if (endsPage !== null)
        setLeftS(Math.max(0, Math.ceil((endsPage - performance.now()) / 1000)));
    };
    const timer = setInterval(tick, TICK_MS);
    return () => clearInterval(timer);
  }, [endsAtMs, clock]);
  return leftS === null ? null : (
    <span className="left" role="timer">
      {say('leftS', { s: leftS })}
    </span>
  );
}

const Last = ({ last }: { last: NonNullable<RunNews['last']> }): ReactElement => (
  <span aria-live="polite">
    <small>{say('lastRep', { ordinal: last.ordinal, letter: last.letter })}</small>{' '}
    {last.leftOut ??
      say('lastTimes', {
        reaction: last.reactionMs === null ? '–' : seconds(last.reactionMs),
        recovery: last.recoveryMs === null ? '–' : seconds(last.recoveryMs),
      })}
  </span>
);

/** The coach's panel on a joined screen. */
export function CoachPanel({ joined }: { joined: Joined }): ReactElement | null {
  const { channel, clock, set, run } = joined;
  const { hand } = useHand();
  if (!channel || !set || !run) return null;
  const ask = (wanted: Ask) => channel.tell('ask', wanted);
  const press = (name: EventName, pressedAt: number) => {
    const at = clock?.toHost(pressedAt - hand.biasMs);
    if (at) ask({ act: 'press', name, atMs: at.epochMs, sdMs: Math.hypot(hand.sdMs, at.sdMs) });
  };
  const isOpen = (name: EventName) =>
    (run.state === 'cued' || (run.state === 'waiting' && name === 'firstMove')) &&
    !run.openEvents.includes(name);
  const running = run.state === 'waiting' || run.state === 'cued';
  return (
    <Panel>
      <div className="state">
        {run.last ? <Last last={run.last} /> : <span />}
        {run.endsAtMs !== null && running && clock && (
          <Left endsAtMs={run.endsAtMs} clock={clock} />
        )}
      </div>
      {set.isByHand && <TimingButtons isOpen={isOpen} onEvent={press} />}
      {set.faults.length > 0 && (
        <div className="keys">
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
      )}
      <div className="keys">
        {run.state !== 'complete' && (
          <Button onPress={() => ask({ act: running ? 'pause' : 'goOn' })}>
            {running ? say('pause') : say('go')}
          </Button>
        )}
        <Button onPress={() => ask({ act: 'redo' })}>{say('redo')}</Button>
        <Button onPress={() => ask({ act: 'strike' })}>{say('strikeOutPutBack')}</Button>
      </div>
    </Panel>
  );
}
