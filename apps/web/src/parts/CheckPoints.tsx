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

/** Not looked at, holds, does not hold: a sign each, so that colour is not needed. */
const signs = (holds: boolean | null): readonly [sign: string, words: string] =>
  holds === null
    ? ['·', say('notLooked')]
    : holds
      ? ['✓', say('holds')]
      : ['✗', say('doesNotHold')];

/** The check points of a position: one press ticks, the next strikes, the next takes both back. */
export function CheckPoints({
  points,
  holds,
  hasKeys = false,
  onTick,
}: {
  points: readonly string[];
  /** `null` of a point that was not looked at. */
  holds: (point: string) => boolean | null;
  /** The figure keys tick them too. */
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
