import type { EventName } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { PHASE_COLOURS, type Phase } from '../parts/phases.js';
import { colour, LOW, NARROW } from '../parts/tokens.js';
import { say } from '../words/screens.js';

interface HandEvent {
  readonly name: EventName;
  readonly words: string;
  readonly code: string;
  readonly key: string;
  /** The phase that begins with it. */
  readonly phase: Phase;
  readonly optional?: boolean;
}

/** Events a hand can time, in their order, with keys. */
export const HAND_EVENTS: readonly HandEvent[] = [
  { name: 'firstMove', words: say('firstMove'), code: 'Space', key: 'space', phase: 'travel' },
  {
    name: 'arrival',
    words: say('arrived'),
    code: 'ArrowRight',
    key: '→',
    phase: 'load',
    optional: true,
  },
  { name: 'action', words: say('action'), code: 'ArrowDown', key: '↓', phase: 'action' },
  { name: 'home', words: say('home'), code: 'Enter', key: 'enter', phase: 'recovery' },
];

const Row = styled.div`
  display: grid;
  grid-template-columns: repeat(4, minmax(124px, 1fr));
  gap: 10px;
  @media (max-width: ${NARROW}) {
    grid-template-columns: 1fr 1fr;
    gap: 8px;
  }
  @media ${LOW} {
    grid-template-columns: 1fr 1fr;
    gap: 6px;
  }
`;

const Press = styled.button<{ $phase: Phase }>`
  min-height: 96px;
  padding: 8px;
  border: 2px solid ${({ $phase }) => PHASE_COLOURS[$phase]};
  border-bottom-width: 7px;
  border-radius: 5px;
  background: ${colour('raised')};
  color: ${colour('ink')};
  font-size: 21px;
  font-weight: 700;
  cursor: pointer;
  touch-action: manipulation;
  user-select: none;
  small {
    display: block;
    font-size: 15px;
    font-weight: 450;
    color: ${colour('quiet')};
  }
  &[aria-disabled='true'] {
    opacity: 0.55;
    border-style: dashed;
  }
  @media ${LOW} {
    min-height: 58px;
    padding: 2px 4px;
    font-size: 18px;
    small {
      display: inline;
      margin-left: 6px;
    }
  }
  @media ${LOW} and (max-width: 560px) {
    small {
      display: none;
    }
  }
  &:active {
    background: ${({ $phase }) => PHASE_COLOURS[$phase]};
    color: ${colour('sheet')};
  }
`;

/** Large buttons for timing events; each also has a key. */
export const TimingButtons = ({
  isOpen,
  onEvent,
}: {
  /** Whether an event can still be timed in the current rep. */
  isOpen: (name: EventName) => boolean;
  onEvent: (name: EventName, pressedAt: number) => void;
}): ReactElement => (
  <Row>
    {HAND_EVENTS.map(({ name, words, key, phase, optional }) => (
      <Press
        key={name}
        type="button"
        $phase={phase}
        aria-disabled={!isOpen(name)}
        // The press is the event; `click` only comes at the release.
        onPointerDown={(event) => onEvent(name, event.timeStamp)}
        onClick={(event) => {
          // Only clicks without a pointer (keyboard, switch, voice); others were handled above.
          if (event.detail === 0) onEvent(name, event.timeStamp);
        }}
      >
        {words}
        <small>
          {key}
          {optional && say('optional')}
        </small>
      </Press>
    ))}
  </Row>
);
