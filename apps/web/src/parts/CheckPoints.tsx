import type { ReactElement } from 'react';
import styled from 'styled-components';
import { say } from '../words/parts.js';
import { KeyRow } from './KeyRow.js';
import { Quiet } from './Text.js';
import { colour, MONO, NARROW } from './tokens.js';

const Row = styled(KeyRow)`
  button {
    text-align: left;
  }
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

/** A sign for unchecked, holds and does not hold, so that colour is not needed. */
const signs = (holds: boolean | null): readonly [sign: string, words: string] =>
  holds === null
    ? ['·', say('notLooked')]
    : holds
      ? ['✓', say('holds')]
      : ['✗', say('doesNotHold')];

/** A position's check points; each press cycles through ticked, crossed and unchecked. */
export function CheckPoints({
  points,
  holds,
  hasKeys = false,
  onTick,
}: {
  points: readonly string[];
  /** `null` if the point is unchecked. */
  holds: (point: string) => boolean | null;
  /** Whether the digit keys tick them as well. */
  hasKeys?: boolean;
  onTick: (point: string) => void;
}): ReactElement {
  if (points.length === 0) return <Quiet>{say('noCheckPointsWrittenThisPosition')}</Quiet>;
  return (
    <Row role="group" aria-label={say('checkPoints')}>
      {points.map((point, i) => {
        const now = holds(point);
        const [sign, words] = signs(now);
        return (
          <button
            key={point}
            type="button"
            data-holds={now === null ? undefined : now ? 'yes' : 'no'}
            aria-label={`${point}: ${words}`}
            onClick={() => onTick(point)}
          >
            <i aria-hidden>{sign}</i>
            {point} {hasKeys && <kbd>{i + 1}</kbd>}
          </button>
        );
      })}
    </Row>
  );
}
