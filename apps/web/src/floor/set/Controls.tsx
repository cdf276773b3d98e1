import { Pause, RotateCcw, Square, Strikethrough } from 'lucide-react';
import type { ReactElement, ReactNode } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { lastRep } from '@orthokin/core/run';
import type { Run } from '../../drill/plan.js';
import type { DrillActs } from '../acts/useDrillActs.js';
import { say } from '../../words/floor.js';
import { colour, LOW, MIDDLE, MONO, NARROW, WIDE } from '../../parts/tokens.js';

const Acts = styled.div`
  grid-column: -2;
  display: grid;
  grid-template-columns: repeat(4, minmax(72px, auto));
  gap: 8px;
  button {
    min-height: 60px;
    padding: 8px 9px;
    flex-direction: column;
    gap: 3px;
    font-size: 15px;
    border-color: ${colour('rule')};
  }
  kbd {
    font: 450 14px ${MONO};
    color: ${colour('quiet')};
  }
  @media (max-width: ${WIDE}) {
    grid-template-columns: repeat(2, minmax(84px, auto));
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: repeat(4, 1fr);
  }
  @media ${LOW} {
    grid-template-columns: repeat(4, 1fr);
    gap: 6px;
    button {
      min-height: 56px;
      padding: 4px 2px;
    }
    kbd {
      display: none;
    }
  }
  @media (max-width: ${NARROW}) {
    kbd {
      display: none;
    }
  }
`;

const Control = ({
  icon,
  words,
  shortcut,
  onPress,
  isDisabled,
}: {
  icon: ReactNode;
  words: string;
  shortcut: string;
  onPress: () => void;
  isDisabled: boolean;
}) => (
  <Button onPress={onPress} isDisabled={isDisabled}>
    {icon}
    <span>
      {words} <kbd>{shortcut}</kbd>
    </span>
  </Button>
);

/** Buttons that control the running set. */
export function Controls({ run, acts }: { run: Run; acts: DrillActs }): ReactElement {
  const last = lastRep(run);
  const running = run.state === 'waiting' || run.state === 'cued';
  return (
    <Acts>
      <Control
        icon={<Pause size={20} aria-hidden />}
        words={say('pause')}
        shortcut="P"
        onPress={acts.pause}
        isDisabled={!running}
      />
      <Control
        icon={<RotateCcw size={20} aria-hidden />}
        words={say('redo')}
        shortcut="R"
        onPress={acts.redo}
        isDisabled={!last && run.state !== 'cued'}
      />
      <Control
        icon={<Strikethrough size={20} aria-hidden />}
        words={last?.struckOut ? say('putBack') : say('strikeOut')}
        shortcut="X"
        onPress={acts.strike}
        isDisabled={!last}
      />
      <Control
        icon={<Square size={20} aria-hidden />}
        words={say('stop')}
        shortcut="Esc"
        onPress={acts.pause}
        isDisabled={!running}
      />
    </Acts>
  );
}
