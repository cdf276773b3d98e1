import { HAND_SD_MS, type EventName } from '@orthokin/core/timing';
import { Pause, RotateCcw, Square, Strikethrough } from 'lucide-react';
import { useEffect, useMemo, useSyncExternalStore, type ReactElement } from 'react';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { Alone } from '../parts/Alone.js';
import { Button } from '../parts/Button.js';
import { Notice } from '../parts/Notice.js';
import { colour, MIDDLE, MONO, NARROW, WIDE } from '../parts/tokens.js';
import { Break } from './Break.js';
import { CueDisplay } from './CueDisplay.js';
import { LastReps } from './LastReps.js';
import { LiveFloor } from './LiveFloor.js';
import { LiveRibbon } from './LiveRibbon.js';
import { finishedReps, lastRep } from '../drill/run.js';
import type { Session } from '../drill/session.js';
import { epochNow, SetClock } from '../drill/set-clock.js';
import { HAND_EVENTS, TimingButtons } from './TimingButtons.js';
import { useCueing } from './useCueing.js';
import { useDrillKeys, type KeyMap } from './useDrillKeys.js';

const Screen = styled.main`
  position: fixed;
  inset: 0;
  z-index: 3;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(300px, 400px);
  grid-template-rows: auto minmax(0, 1fr) auto;
  grid-template-areas: 'head side' 'cue side' 'foot foot';
  gap: 0 28px;
  padding: 18px 26px;
  background: ${colour('paper')};
  color: ${colour('ink')};
  .cue {
    grid-area: cue;
    min-height: 0;
    padding: 10px 0 16px;
  }
  .side {
    grid-area: side;
    display: grid;
    grid-template-rows: minmax(0, 1fr) auto;
    gap: 16px;
    min-height: 0;
    padding-bottom: 14px;
  }
  .plan {
    min-height: 0;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: 1fr;
    grid-template-rows: auto minmax(0, 1.2fr) minmax(0, 1fr) auto;
    grid-template-areas: 'head' 'cue' 'side' 'foot';
    .side {
      grid-template: minmax(0, 1fr) / minmax(0, 1fr) minmax(0, 1fr);
    }
  }
  @media (max-width: ${NARROW}) {
    padding: 10px 14px;
    grid-template-rows: auto minmax(0, 1fr) auto auto;
    .side {
      display: block;
      padding-bottom: 8px;
    }
    .side .plan {
      display: none;
    }
  }
`;

const Head = styled.div`
  grid-area: head;
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 16px;
  color: ${colour('quiet')};
  .count {
    font: 700 30px ${MONO};
    color: ${colour('quiet')};
    white-space: nowrap;
  }
  .count b {
    color: ${colour('ink')};
  }
`;

const Foot = styled.div`
  grid-area: foot;
  padding-top: 14px;
  border-top: 1px solid ${colour('rule')};
  .row {
    display: grid;
    grid-template-columns: minmax(180px, 1fr) auto auto;
    align-items: center;
    gap: 12px 24px;
  }
  .ribbon {
    max-width: 520px;
  }
  .controls {
    grid-column: -2;
    display: grid;
    grid-template-columns: repeat(4, minmax(72px, auto));
    gap: 8px;
  }
  .controls button {
    min-height: 60px;
    padding: 8px 9px;
    flex-direction: column;
    gap: 3px;
    font-size: 15px;
    border-color: ${colour('rule')};
  }
  .controls kbd {
    font: 450 14px ${MONO};
    color: ${colour('quiet')};
  }
  @media (max-width: ${WIDE}) {
    .controls {
      grid-template-columns: repeat(2, minmax(84px, auto));
    }
  }
  @media (max-width: ${MIDDLE}) {
    .row {
      grid-template-columns: minmax(0, 1fr);
    }
    .ribbon {
      max-width: none;
    }
    .controls {
      grid-template-columns: repeat(4, 1fr);
    }
  }
  @media (max-width: ${NARROW}) {
    .ribbon,
    .controls kbd {
      display: none;
    }
  }
`;

/** A set being run: the cue, the floor, the presses, and nothing else. */
export function DrillScreen({
  session,
  onLeave,
}: {
  session: Session;
  onLeave: () => void;
}): ReactElement {
  const { run, storageFailed } = useSyncExternalStore(session.subscribe, session.snapshot);
  const clock = useMemo(() => new SetClock(Date.parse(run.plan.startedAt)), [run.plan.startedAt]);
  const cueing = useCueing(session, run, clock);
  const byHand = run.plan.source === 'hand';
  const last = lastRep(run);
  const running = run.state === 'waiting' || run.state === 'cued';

  const press = (name: EventName, pressedAt: number) =>
    void session.commit({
      type: 'event',
      event: { name, atMs: clock.at(pressedAt), sdMs: HAND_SD_MS, source: 'hand' },
    });
  const pause = () => void session.commit({ type: 'paused' });
  const goOn = () => void session.commit({ type: 'resumed', atMs: clock.now() });
  const redo = () => void session.commit({ type: 'redone', atMs: clock.now() });
  const strike = () => last && void session.commit({ type: 'struck', repId: last.id, newId: v7() });
  const end = () =>
    void session.commit({ type: 'ended', at: new Date(epochNow()).toISOString() }).then(onLeave);

  const handKeys: KeyMap = Object.fromEntries(
    HAND_EVENTS.map(({ name, code }) => [code, (at: number) => press(name, at)]),
  );
  useDrillKeys({
    ...(byHand && running ? handKeys : {}),
    KeyP: running ? pause : goOn,
    KeyR: redo,
    KeyX: strike,
    Escape: pause,
  });

  // A hidden page gets no frames: a cue could neither be shown nor timed.
  useEffect(() => {
    const hide = () => {
      if (document.hidden) void session.commit({ type: 'paused' });
    };
    document.addEventListener('visibilitychange', hide);
    return () => document.removeEventListener('visibilitychange', hide);
  }, [session]);

  return (
    <Alone>
      <Screen data-theme="dark">
        <Head>
          <span>
            {run.plan.athlete.name}, {run.plan.pattern.name}, rung {run.plan.rung}
          </span>
          <span className="count" aria-label={`cue ${run.ordinal} of ${run.plan.cues.length}`}>
            <b>{run.ordinal}</b> of {run.plan.cues.length}
          </span>
        </Head>
        <div className="cue">
          {running ? (
            <CueDisplay run={run} shown={cueing.shown} />
          ) : (
            <Break run={run} onGoOn={goOn} onRedo={redo} onStrike={strike} onEnd={end} />
          )}
        </div>
        <div className="side">
          <div className="plan">
            <LiveFloor run={run} clock={clock} lit={cueing.shown} playing={cueing.playing} />
          </div>
          <LastReps run={run} most={5} />
        </div>
        <Foot>
          {storageFailed && (
            <Notice>
              This device cannot keep the set (its storage is full or closed). Finished reps are
              sent only while this page stays open.
            </Notice>
          )}
          <div className="row">
            <div className="ribbon">
              <LiveRibbon run={run} clock={clock} />
            </div>
            {byHand && <TimingButtons run={run} onEvent={press} />}
            <div className="controls">
              <Button onPress={pause} isDisabled={!running}>
                <Pause size={20} aria-hidden />
                <span>
                  Pause <kbd>P</kbd>
                </span>
              </Button>
              <Button onPress={redo} isDisabled={!last && run.state !== 'cued'}>
                <RotateCcw size={20} aria-hidden />
                <span>
                  Redo <kbd>R</kbd>
                </span>
              </Button>
              <Button onPress={strike} isDisabled={!last}>
                <Strikethrough size={20} aria-hidden />
                <span>
                  {last?.struckOut ? 'Put back' : 'Strike out'} <kbd>X</kbd>
                </span>
              </Button>
              <Button onPress={pause} isDisabled={!running}>
                <Square size={20} aria-hidden />
                <span>
                  Stop <kbd>Esc</kbd>
                </span>
              </Button>
            </div>
          </div>
        </Foot>
        <span hidden data-testid="finished">
          {finishedReps(run).length}
        </span>
      </Screen>
    </Alone>
  );
}
