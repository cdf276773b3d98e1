import { targetOf } from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Marker } from '../parts/plan/Marker.js';
import { colour } from '../parts/tokens.js';
import type { CuePlan } from '../drill/cue-plan.js';
import { say } from '../words/screens.js';

const Pad = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  button {
    display: grid;
    place-items: center;
    width: 92px;
    height: 92px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 5px;
    background: ${colour('raised')};
    cursor: pointer;
    touch-action: manipulation;
  }
  button[aria-disabled='true'] {
    opacity: 0.4;
  }
`;

/** Keys for calling targets live; each also works by its letter on the keyboard. */
export const CallKeypad = ({
  pattern,
  letters,
  isOpen,
  onCall,
}: {
  pattern: CuePlan['pattern'];
  /** Letters of the targets in play. */
  letters: readonly string[];
  /** Whether the next call is allowed now. */
  isOpen: boolean;
  onCall: (letter: string) => void;
}): ReactElement => (
  <Pad role="group" aria-label={say('callTarget')}>
    {letters.map((letter) => {
      const target = targetOf(pattern, letter);
      return (
        <button
          key={letter}
          type="button"
          aria-label={say('callLetterTarget', { letter, target: target?.name ?? '' })}
          aria-disabled={!isOpen}
          // A call happens at the press, not at the release.
          onPointerDown={() => onCall(letter)}
          onClick={(event) => {
            if (event.detail === 0) onCall(letter);
          }}
        >
          {target && <Marker target={target} size={62} />}
        </button>
      );
    })}
  </Pad>
);
