import { rungOf } from '@orthokin/core/pattern';
import { judgeSet } from '@orthokin/core/progress';
import { summariseSet } from '@orthokin/core/stats';
import { readReps } from '@orthokin/core/timing';
import { useEffect, useMemo, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { restEndsAt, turnOf, type Rota } from '@orthokin/core/run';
import { settingsOf } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import { epochNow } from '../../drill/set-clock.js';
import { planBeep } from '../../sound/audio.js';
import { planWords } from '../../sound/spoken.js';
import { InsteadOfPage } from '../../parts/InsteadOfPage.js';
import { Button } from '../../parts/Button.js';
import { commaList, seconds } from '../../words/format.js';
import { Headline, Quiet } from '../../parts/Text.js';
import { colour, MONO } from '../../parts/tokens.js';
import { useAwake } from '../../screens/useAwake.js';
import { Answer } from './Answer.js';
import { say } from '../../words/floor.js';
import { SayThisOfRun } from './SayThisOfRun.js';
import { IDLE_TIMING_KEYS, useDrillKeys, useQuietAfter } from '../acts/useDrillKeys.js';
import type { FloorSetup } from '../plan-drill.js';
import { Ways } from './Ways.js';

const Screen = styled.main`
  position: fixed;
  inset: 0;
  z-index: 3;
  display: grid;
  align-content: center;
  justify-items: center;
  gap: clamp(8px, 2vh, 20px);
  padding: 24px;
  overflow: auto;
  background: ${colour('paper')};
  color: ${colour('ink')};
  text-align: center;
  /* Read from five metres, by whoever waits. */
  > p {
    max-width: 34ch;
    font-size: clamp(22px, 3vw, 40px);
    line-height: 1.2;
  }
  h1 {
    max-width: 18ch;
    font-size: clamp(40px, 7vw, 104px);
    line-height: 1.05;
  }
  .left {
    font: 750 min(28vh, 40vw) / 1 ${MONO};
    font-variant-numeric: tabular-nums;
  }
`;

const LargeWays = styled(Ways)`
  justify-content: center;
  button {
    min-height: 60px;
    font-size: 18px;
  }
`;

const TICK_MS = 100;
const COUNT_IN_MS = [3000, 2000, 1000] as const;

/** The set just done, in a line. */
function lastWords(run: Run): string {
  const readings = readReps(run.recorded, run.plan.cues, settingsOf(run.plan));
  const { durations } = summariseSet(readings);
  const rung = rungOf(run.plan.pattern, run.plan.rung);
  const times = (['reaction', 'recovery'] as const).flatMap((name) => {
    const ms = durations[name]?.medianMs;
    return ms === undefined ? [] : [`${name} ${seconds(ms)} s`];
  });
  const outcome = rung ? judgeSet(readings, rung).outcome : null;
  return commaList([
    say('athleteReadingsReps', { athlete: run.plan.athlete.name, readings: readings.length }),
    ...times,
    outcome,
  ]);
}

/** Rest between two sets: how long, and who is next. The next set begins by itself. */
export function RestScreen({
  rota,
  last,
  nameOf,
  setupOf,
  onStart,
  onSkip,
  onStop,
}: {
  rota: Rota;
  last: Run;
  nameOf: (athleteId: string) => string;
  /** What an athlete of the rota runs, in case the markers have to be moved. */
  setupOf: (athleteId: string) => FloorSetup | null;
  onStart: () => Promise<void>;
  onSkip: () => void;
  onStop: () => void;
}): ReactElement {
  useAwake();
  useDrillKeys(IDLE_TIMING_KEYS, useQuietAfter(true));
  const told = useMemo(() => lastWords(last), [last]);
  const [endsAt] = useState(() => restEndsAt(rota, epochNow()));
  const [leftMs, setLeftMs] = useState(endsAt - epochNow());
  const [problem, setProblem] = useState<string | null>(null);
  const start = () =>
    onStart().catch((error: unknown) =>
      setProblem(error instanceof Error ? error.message : String(error)),
    );
  const isOver = leftMs <= 0;
  useEffect(() => {
    const timer = setInterval(() => setLeftMs(endsAt - epochNow()), TICK_MS);
    const page = (beforeMs: number) => endsAt - beforeMs - performance.timeOrigin;
    const sounds = [
      planWords(['rest'], performance.now() + 100),
      ...COUNT_IN_MS.map((ms) => planBeep({ hz: 520, lengthS: 0.09, level: 0.3 }, page(ms))),
    ];
    return () => {
      clearInterval(timer);
      sounds.forEach((cancel) => cancel());
    };
  }, [endsAt]);
  useEffect(() => {
    if (isOver) void start();
    // oxlint-disable-next-line react/exhaustive-deps -- begins once, when the rest is over
  }, [isOver]);
  const turn = turnOf(rota);
  const next = turn ? nameOf(turn.athleteId) : '';
  const setup = turn && setupOf(turn.athleteId);
  const shown = Math.max(0, Math.ceil(leftMs / 1000));
  return (
    <InsteadOfPage>
      <Screen data-theme="dark">
        <Quiet>{told}</Quiet>
        <SayThisOfRun run={last} />
        <Answer run={last} onNext={null} />
        <span className="left" role="timer" aria-label={say('shownSecondsRestLeft', { shown })}>
          {shown}
        </span>
        <Headline>{say('nextNext', { next })}</Headline>
        {setup && (
          <Quiet>{say('patternAndRung', { pattern: setup.pattern.name, rung: setup.rung })}</Quiet>
        )}
        <Quiet>{say('setPlaceTurns', { place: rota.place + 1, turns: rota.turns.length })}</Quiet>
        {problem && <p role="alert">{problem}</p>}
        <LargeWays>
          <Button weight="main" autoFocus onPress={() => void start()}>
            {say('startNow')}
          </Button>
          <Button onPress={onSkip}>{say('passNextOver', { next })}</Button>
          <Button onPress={onStop}>{say('stopHere')}</Button>
        </LargeWays>
      </Screen>
    </InsteadOfPage>
  );
}
