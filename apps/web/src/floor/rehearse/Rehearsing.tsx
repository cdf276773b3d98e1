import type { RehearsalCall } from '@orthokin/core/footwork';
import { legOf, notesOf, positionOf, targetOf, type Pattern } from '@orthokin/core/pattern';
import { ChevronLeft, ChevronRight, Pause, Play, Square } from 'lucide-react';
import { useEffect, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { InsteadOfPage } from '../../parts/InsteadOfPage.js';
import { Button } from '../../parts/Button.js';
import { Marker } from '../../parts/plan/Marker.js';
import { POSITION_WORDS } from '../../words/position.js';
import { PositionStill, WeightBar } from '../../parts/PositionStill.js';
import { Quiet } from '../../parts/Text.js';
import { colour, MIDDLE, MONO, NARROW } from '../../parts/tokens.js';
import { FullScreen } from '../../screens/FullScreen.js';
import { useAwake } from '../../screens/useAwake.js';
import { planWords } from '../../sound/spoken.js';
import { useDrillKeys } from '../acts/useDrillKeys.js';
import { CheckPoints } from '../../parts/CheckPoints.js';
import { lookedAt, turned, type Mark, markOf } from './marks.js';
import { useWalk, type Walk } from './useWalk.js';
import { WalkedFloor } from './WalkedFloor.js';
import { say } from '../../words/floor.js';

const Screen = styled.main`
  position: fixed;
  inset: 0;
  z-index: 3;
  display: grid;
  grid-template: auto minmax(0, 1fr) auto auto / minmax(0, 1fr) minmax(0, 1fr);
  gap: 14px 28px;
  padding: 18px 26px;
  background: ${colour('paper')};
  color: ${colour('ink')};
  header {
    grid-column: 1 / -1;
    display: flex;
    align-items: center;
    gap: 16px;
    font-size: 18px;
  }
  header b {
    margin-left: auto;
    font: 700 24px ${MONO};
    white-space: nowrap;
  }
  .floor {
    min-height: 0;
  }
  .call {
    display: grid;
    align-content: center;
    gap: 14px;
    min-height: 0;
  }
  .call h1 {
    margin: 0;
    font-size: clamp(44px, 9vw, 104px);
    line-height: 0.95;
    font-weight: 750;
  }
  .call .left {
    font: 700 clamp(28px, 5vw, 56px) ${MONO};
  }
  .call p {
    margin: 0;
    font-size: clamp(20px, 2.4vw, 30px);
  }
  .still {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 14px;
  }
  .points,
  footer {
    grid-column: 1 / -1;
  }
  footer {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
  footer button {
    min-height: 60px;
    min-width: 96px;
  }
  kbd {
    font: 450 14px ${MONO};
    color: ${colour('quiet')};
  }
  @media (max-width: ${MIDDLE}) {
    grid-template: auto minmax(0, 1fr) minmax(0, 1fr) auto auto / minmax(0, 1fr);
    footer button {
      flex: 1 1 40%;
    }
  }
  @media (max-width: ${NARROW}) {
    grid-template: auto auto minmax(0, 1fr) auto auto / minmax(0, 1fr);
    gap: 10px;
    padding: 12px 16px;
    .call {
      gap: 6px;
    }
    .still,
    kbd {
      display: none;
    }
  }
`;

const SOON_MS = 60;

/** Speaks each call when it begins, and "hold" when its position is reached. */
function useSpokenCalls(call: RehearsalCall | undefined, walk: Walk, spoken: boolean): void {
  useEffect(() => {
    if (!spoken || !call || walk.pausedAt !== null) return;
    const isNew = performance.now() - walk.beganAt < SOON_MS * 2;
    const word = call.call === 'recovery' ? 'home' : call.call;
    const cancels = [
      ...(isNew ? [planWords([word], walk.beganAt + SOON_MS)] : []),
      ...(call.call !== 'through' && call.walkMs > 0
        ? [planWords(['hold'], walk.beganAt + call.walkMs)]
        : []),
    ];
    return () => cancels.forEach((cancel) => cancel());
  }, [call, walk, spoken]);
}

const CALL_WORDS = { ...POSITION_WORDS, recovery: 'Home', through: 'Through' } as const;

/** A running rehearsal: the current call, its drawing, and check points to tick. */
export function Rehearsing({
  pattern,
  calls,
  name,
  spoken,
  onMarks,
  onDone,
}: {
  pattern: Pattern;
  calls: readonly RehearsalCall[];
  name: string;
  spoken: boolean;
  /** Called at every tick, so that nothing is lost if the page dies. */
  onMarks: (marks: readonly Mark[]) => void;
  onDone: () => void;
}): ReactElement | null {
  useAwake();
  const { walk, call, isHeld, leftMs, go, toggle } = useWalk(calls);
  const [marks, setMarks] = useState<readonly Mark[]>([]);
  useSpokenCalls(call, walk, spoken);
  const at = call ? lookedAt(call) : null;
  const leg = call && legOf(pattern, call.target);
  const points = at && leg ? notesOf(pattern, leg, at.position).checkPoints : [];
  const isOver = call === undefined;
  useEffect(() => {
    if (isOver) onDone();
    // oxlint-disable-next-line react/exhaustive-deps -- ends only once
  }, [isOver]);
  const tick = (point: string | undefined) => {
    if (!at || point === undefined) return;
    const next = turned(marks, at, point);
    setMarks(next);
    onMarks(next);
  };
  useDrillKeys({
    KeyP: toggle,
    Space: toggle,
    ArrowRight: () => go(1),
    ArrowLeft: () => go(-1),
    Escape: onDone,
    ...Object.fromEntries(points.map((point, i) => [`Digit${i + 1}`, () => tick(point)])),
  });
  if (!call || !leg) return null;
  const standing = at && positionOf(pattern, leg, at.position);
  const target = targetOf(pattern, call.target);
  const isPaused = walk.pausedAt !== null;
  return (
    <InsteadOfPage>
      <Screen data-theme="dark">
        <header>
          <Quiet>
            {name}, {call.manner}
          </Quiet>
          <b aria-label={say('callPlaceCalls', { place: walk.place + 1, calls: calls.length })}>
            {say('placeCalls', { place: walk.place + 1, calls: calls.length })}
          </b>
          <FullScreen />
        </header>
        <div className="call" aria-live="polite">
          <div style={{ display: 'flex', alignItems: 'center', gap: 14, fontSize: 22 }}>
            {target && <Marker target={target} size={54} />}
            {target?.name}
          </div>
          <h1 data-testid="called">{CALL_WORDS[call.call]}</h1>
          {at && <p>{notesOf(pattern, leg, at.position).cue}</p>}
          <span className="left" role="timer">
            {isPaused
              ? say('paused')
              : `${isHeld ? (at ? say('hold') : say('ready')) : 'Go'} ${Math.ceil(leftMs / 1000)}`}
          </span>
          {standing && (
            <div className="still">
              <PositionStill
                standing={standing}
                phase={at.position}
                width={190}
                height={120}
                label={say('positionwordsHowFeetStand', {
                  POSITIONWORDS: POSITION_WORDS[at.position],
                })}
              />
              <WeightBar leftWeight={standing.leftWeight} />
            </div>
          )}
        </div>
        <div className="floor">
          <WalkedFloor pattern={pattern} call={call} walk={walk} />
        </div>
        <div className="points">
          {at && (
            <CheckPoints
              points={points}
              holds={(point) => markOf(marks, at, point)}
              hasKeys
              onTick={tick}
            />
          )}
        </div>
        <footer>
          <Button onPress={() => go(-1)} isDisabled={walk.place === 0}>
            <ChevronLeft size={20} aria-hidden /> {say('back')} <kbd>←</kbd>
          </Button>
          <Button weight="main" autoFocus onPress={toggle}>
            {isPaused ? <Play size={20} aria-hidden /> : <Pause size={20} aria-hidden />}
            {isPaused ? say('go') : say('stayHere')} <kbd>P</kbd>
          </Button>
          <Button onPress={() => go(1)}>
            {say('next')} <kbd>→</kbd> <ChevronRight size={20} aria-hidden />
          </Button>
          <Button onPress={onDone}>
            <Square size={18} aria-hidden /> {say('stop')} <kbd>{say('esc')}</kbd>
          </Button>
        </footer>
      </Screen>
    </InsteadOfPage>
  );
}
