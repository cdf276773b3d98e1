import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Quiet } from '../../parts/Text.js';
import { colour, MONO, NARROW } from '../../parts/tokens.js';
import { KeyRow } from '../set/KeyRow.js';
import { markOf, type Mark } from './marks.js';
import { say } from '../../words/floor.js';

const Row = styled(KeyRow)`
  button[data-holds] {
    border-color: ${colour('ink')};
    box-shadow: inset 0 0 0 1.5px ${colour('ink')};
  }
  button[data-holds='no'] {
    border-color: ${colour('bad')};
    color: ${colour('bad')};
    box-shadow: inset 0 0 0 1.5px ${colour('bad')};
  }
  i {
    width: 1em;
    font: 800 20px ${MONO};
  }
  @media (max-width: ${NARROW}) {
    kbd {
      display: none;
    }
    button {
      flex: 1 1 40%;
      padding-inline: 10px;
      font-size: 16px;
      text-align: left;
    }
  }
`;

/** Not looked at, holds, does not hold: a sign each, so that colour is not needed. */
const signs = (holds: boolean | null): readonly [sign: string, words: string] =>
  holds === null ? ['·', say('notLooked')] : holds ? ['✓', 'holds'] : ['✗', say('doesNotHold')];

/** The check points of a position: one press ticks, the next strikes, the next takes both back. */
export function CheckPoints({
  points,
  marks,
  at,
  onTick,
}: {
  points: readonly string[];
  marks: readonly Mark[];
  at: Pick<Mark, 'target' | 'manner' | 'position'>;
  onTick: (point: string) => void;
}): ReactElement {
  if (points.length === 0) return <Quiet>{say('noCheckPointsWrittenThisPosition')}</Quiet>;
  return (
    <Row role="group" aria-label={say('checkPoints')}>
      {points.map((point, i) => {
        const holds = markOf(marks, at, point);
        const [sign, words] = signs(holds);
        return (
          <button
            key={point}
            type="button"
            data-holds={holds === null ? undefined : holds ? 'yes' : 'no'}
            aria-label={`${point}: ${words}`}
            onClick={() => onTick(point)}
          >
            <i aria-hidden>{sign}</i>
            {point} <kbd>{i + 1}</kbd>
          </button>
        );
      })}
    </Row>
  );
}
