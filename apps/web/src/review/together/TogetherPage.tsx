import { readSet } from '@orthokin/core/drill';
import { rungOf } from '@orthokin/core/pattern';
import { sayThis } from '@orthokin/core/progress';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useClub } from '../../api/club.js';
import { ButtonLink } from '../../parts/Button.js';
import { Failed } from '../../parts/Notice.js';
import { SayThis } from '../../parts/SayThis.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { useAddress } from '../../parts/useAddress.js';
import { headline } from '../../words/decision.js';
import { timeWords } from '../../words/format.js';
import { say } from '../../words/together.js';
import { useReview, type Review } from '../set/useReview.js';

const MOST_SETS = 60;

const Sets = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 440px), 1fr));
  gap: 26px 40px;
  margin: 22px 0 0;
  padding: 0;
  list-style: none;
  li {
    padding-top: 14px;
    border-top: 2px solid ${colour('rule')};
  }
  li > h2 {
    margin: 0 0 2px;
    font-size: 21px;
  }
  .answer {
    margin: 8px 0 12px;
    font-weight: 650;
  }
`;

/** The sets of several athletes who took turns: what each is to be told, and what comes next. */
export function TogetherPage(): ReactElement {
  const [address] = useAddress();
  const ids = [...new Set((address.get('sets') ?? '').split(',').filter(Boolean))];
  return (
    <Page name={say('together')}>
      <Headline>
        {ids.length === 0 ? say('noSets') : say('everybodysSets', { sets: ids.length })}
      </Headline>
      {ids.length === 0 && (
        <>
          <Quiet>{say('whenSeveralTakeTurns')}</Quiet>
          <p>
            <ButtonLink to="/ladder" $weight="main">
              {say('chooseWhoTakesTurns')}
            </ButtonLink>{' '}
            <ButtonLink to="/review/sets">{say('newest')}</ButtonLink>
          </p>
        </>
      )}
      <Sets>
        {ids.slice(0, MOST_SETS).map((id) => (
          <li key={id}>
            <OneSet setId={id} />
          </li>
        ))}
      </Sets>
    </Page>
  );
}

function OneSet({ setId }: { setId: string }): ReactElement {
  const { review, error, again } = useReview(setId);
  if (review) return <Told setId={setId} review={review} />;
  return error ? <Failed error={error} again={again} /> : <Quiet>{say('reading')}</Quiet>;
}

function Told({ setId, review }: { setId: string; review: Review }): ReactElement {
  const { set, athlete, pattern, reps, decision } = review;
  const { faults } = useClub();
  const said = useMemo(() => {
    const rung = rungOf(pattern, set.rung);
    return rung && sayThis(readSet(set, reps, pattern), rung, set.conditions.watched);
  }, [set, reps, pattern]);
  return (
    <>
      <h2>
        <Link to={`/review/${setId}`}>{athlete.name}</Link>
      </h2>
      <Quiet>
        {say('onRung', {
          pattern: pattern.name,
          rung: set.rung,
          time: timeWords(set.startedAt),
        })}
      </Quiet>
      <p className="answer">
        {set.source === 'none'
          ? say('notTimed')
          : decision
            ? headline(decision, set.rung)
            : say('answerLater')}
      </p>
      {said && <SayThis found={said} targets={pattern.targets} faults={faults} />}
    </>
  );
}
