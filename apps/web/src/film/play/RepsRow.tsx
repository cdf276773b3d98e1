import { isMarked, NOTHING_MARKED, type Marks } from '@orthokin/core/film';
import type { Target } from '@orthokin/core/floor';
import { Check } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Marker } from '../../parts/plan/Marker.js';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/film.js';
import { type CalledRep } from '../mark/marks.js';

const Reps = styled.ol`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 12px 0 0;
  padding: 0;
  list-style: none;
  button {
    display: flex;
    align-items: center;
    gap: 4px;
    min-width: 58px;
    min-height: 46px;
    padding: 4px 8px;
    border: 2px solid transparent;
    border-radius: 4px;
    background: none;
    color: ${colour('good')};
    cursor: pointer;
  }
  button[aria-current='true'] {
    border-color: ${colour('here')};
  }
`;

/** The set's reps by target, with those that are marked. */
export function RepsRow({
  reps,
  place,
  marks,
  targets,
  onGo,
}: {
  reps: readonly CalledRep[];
  /** Index of the current rep. */
  place: number;
  marks: Marks;
  targets: readonly Target[];
  onGo: (place: number) => void;
}): ReactElement {
  return (
    <Reps aria-label={say('reps')}>
      {reps.map(({ ordinal, target }, i) => {
        const shown = targets.find(({ letter }) => letter === target);
        const done = isMarked(marks[ordinal] ?? NOTHING_MARKED);
        return (
          <li key={ordinal}>
            <button
              type="button"
              aria-current={i === place}
              aria-label={`${say('rep', { ordinal, letter: target })}${done ? `, ${say('repMarked')}` : ''}`}
              onClick={() => onGo(i)}
            >
              {shown && <Marker target={shown} size={28} />}
              {done && <Check size={20} aria-hidden />}
            </button>
          </li>
        );
      })}
    </Reps>
  );
}
