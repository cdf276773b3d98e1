import type { RungMoveReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { headline } from '../../words/decision.js';
import { dayWords } from '../../words/format.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { moveWords } from '../../words/rung.js';
import { say } from '../../words/ladder.js';

const List = styled.ol`
  margin: 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: 110px 1fr;
    gap: 0 14px;
    padding: 8px 0;
    border-top: 1px solid ${colour('rule')};
  }
  small {
    display: block;
    font-size: 15px;
    color: ${colour('quiet')};
  }
`;

/** All moves, newest first, with the rule's decision and why it was overruled. */
export function Moves({ moves }: { moves: readonly RungMoveReply[] }): ReactElement {
  return (
    <section>
      <Heading>{say('historyMoves')}</Heading>
      {moves.length === 0 && <Quiet>{say('noneYetEverybodyStartsRung1')}</Quiet>}
      <List>
        {[...moves].reverse().map((move) => (
          <li key={move.id}>
            <span>{dayWords(move.movedAt)}</span>
            <span>
              {move.setId ? (
                <Link to={`/review/${move.setId}`}>{moveWords(move)}</Link>
              ) : (
                moveWords(move)
              )}
              {move.reason && <small>“{move.reason}”</small>}
              {move.movedBy && <small>{say('movedBy', { name: move.movedBy })}</small>}
              {move.onDevice && <small>{say('movedOnDevice')}</small>}
              {move.decision && move.basis === 'overrule' && (
                <small>
                  {say('ruleSaidHeadline', { headline: headline(move.decision, move.fromRung) })}
                </small>
              )}
            </span>
          </li>
        ))}
      </List>
    </section>
  );
}
