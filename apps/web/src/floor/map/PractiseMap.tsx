import type { Answer } from '@orthokin/core/cue';
import type { Pattern } from '@orthokin/core/pattern';
import { Square } from 'lucide-react';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import styled from 'styled-components';
import type { CuePlan } from '../../drill/cue-plan.js';
import { InsteadOfPage } from '../../parts/InsteadOfPage.js';
import { Button } from '../../parts/Button.js';
import { Quiet } from '../../parts/Text.js';
import { colour, MIDDLE, MONO } from '../../parts/tokens.js';
import { CueDisplay } from '../../screens/CueDisplay.js';
import { FullScreen } from '../../screens/FullScreen.js';
import { useAwake } from '../../screens/useAwake.js';
import { useDrillKeys } from '../acts/useDrillKeys.js';
import { BlankFloor } from './BlankFloor.js';
import { knownSoFar, useMapPractice } from './useMapPractice.js';
import { say } from '../../words/floor.js';

const Screen = styled.main`
  position: fixed;
  inset: 0;
  z-index: 3;
  display: grid;
  grid-template: auto minmax(0, 1fr) auto / minmax(0, 1fr) minmax(0, 1.1fr);
  gap: 12px 28px;
  padding: 18px 26px;
  background: ${colour('paper')};
  color: ${colour('ink')};
  header,
  footer {
    grid-column: 1 / -1;
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 16px;
  }
  header b {
    margin-left: auto;
    font: 700 26px ${MONO};
  }
  .floor,
  .cue {
    min-height: 0;
  }
  footer p {
    font-size: 22px;
  }
  footer button {
    min-height: 60px;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template: auto minmax(0, 1fr) minmax(0, 1.6fr) auto / minmax(0, 1fr);
  }
`;

/** Cues one after another, on covered markers: the athlete points at the target. */
export function PractiseMap({
  plan,
  pattern,
  letters,
  name,
  onDone,
  onStop,
}: {
  plan: CuePlan;
  pattern: Pattern;
  letters: readonly string[];
  name: string;
  onDone: (answers: readonly Answer[]) => void;
  onStop: () => void;
}): ReactElement {
  useAwake();
  const [seed] = useState(() => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1);
  const { answers, asked, shown, isOver, point } = useMapPractice(plan, letters, seed);
  const done = useRef(onDone);
  useEffect(() => {
    if (isOver) done.current(answers);
  }, [isOver, answers]);
  useDrillKeys({ Escape: onStop });
  const last = answers.at(-1);
  const wasRight = last?.given === last?.asked;
  const said =
    asked !== null || !last
      ? ''
      : wasRight
        ? say('yesAsked', { asked: last.asked })
        : say('noAskedHere', { asked: last.asked });
  return (
    <InsteadOfPage>
      <Screen data-theme="dark">
        <header>
          <Quiet>{say('namePointPlace', { name })}</Quiet>
          <b>
            {say('knownsofarLettersKnown', {
              knownSoFar: knownSoFar(answers, letters),
              letters: letters.length,
            })}
          </b>
          <FullScreen />
        </header>
        <div className="cue">
          <CueDisplay plan={plan} shown={shown} />
        </div>
        <div className="floor">
          <BlankFloor
            pattern={pattern}
            letters={letters}
            uncovered={asked === null && last ? [last.asked] : []}
            onPoint={point}
          />
        </div>
        <footer>
          <p role="status">{said}</p>
          <Button onPress={onStop}>
            <Square size={18} aria-hidden /> {say('stop')}
          </Button>
        </footer>
      </Screen>
    </InsteadOfPage>
  );
}
