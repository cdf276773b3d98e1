import type { ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useSquad } from '../../api/squad.js';
import { answerWords } from '../../words/decision.js';
import { dayWords, timeWords } from '../../words/format.js';
import { ButtonLink } from '../../parts/Button.js';
import { Failed } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/review.js';

const List = styled.ul`
  margin: 20px 0 0;
  padding: 0;
  list-style: none;
  li {
    border-top: 1px solid ${colour('rule')};
  }
  a {
    display: grid;
    grid-template-columns: 150px minmax(160px, 1fr) 2fr;
    gap: 4px 24px;
    padding: 14px 0;
    text-decoration: none;
  }
  a:hover strong {
    text-decoration: underline;
  }
  @media (max-width: 640px) {
    a {
      grid-template-columns: 1fr;
    }
  }
`;

/** Everybody's newest set, newest first. */
export function NewestSets(): ReactElement {
  const squad = useSquad();
  const sets = (squad.data ?? [])
    .flatMap(({ athlete, lastSet }) => (lastSet ? [{ athlete, set: lastSet }] : []))
    .sort((a, b) => b.set.startedAt.localeCompare(a.set.startedAt));
  return (
    <Page name={say('newestSets')}>
      <Headline>{say('newestSets')}</Headline>
      {squad.isPending && <Quiet>{say('readingSets')}</Quiet>}
      {squad.error && !squad.data && (
        <Failed error={squad.error} again={() => void squad.refetch()} />
      )}
      {squad.data && sets.length === 0 && (
        <>
          <Quiet>{say('noSetHasBeenTimedYet')}</Quiet>
          <p>
            <ButtonLink to="/floor" $weight="main">
              {say('startOneFloor')}
            </ButtonLink>
          </p>
        </>
      )}
      <p style={{ margin: '8px 0 0' }}>
        <Link to="/plan#held">{say('heldSessions')}</Link>
      </p>
      <List>
        {sets.map(({ athlete, set }) => (
          <li key={set.id}>
            <Link to={`/review/${set.id}`}>
              <Quiet as="span">
                {dayWords(set.startedAt)} {timeWords(set.startedAt)}
              </Quiet>
              <strong>{athlete.name}</strong>
              <span>{answerWords(set.decision, set.outcome)}</span>
            </Link>
          </li>
        ))}
      </List>
    </Page>
  );
}
