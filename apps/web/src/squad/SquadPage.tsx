import type { LastSetReply, SquadLineReply } from '@orthokin/contract';
import { Play, UserPlus } from 'lucide-react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useSquad } from '../api/squad.js';
import { useGroupFilter } from '../api/useGroupFilter.js';
import { ButtonLink } from '../parts/Button.js';
import { answerWords } from '../words/decision.js';
import { dayWords, listWords } from '../words/format.js';
import { SelectField } from '../parts/form/SelectField.js';
import { Failed } from '../parts/Notice.js';
import { RungMeter } from '../parts/RungMeter.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour, MIDDLE, NARROW } from '../parts/tokens.js';
import { say } from '../words/squad.js';

const List = styled.ul`
  margin: 20px 0 0;
  padding: 0;
  list-style: none;
  border-top: 1px solid ${colour('rule')};
`;

const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(190px, 1.1fr) minmax(240px, 1.3fr) minmax(220px, 1.4fr) auto;
  grid-template-areas: 'who what last go';
  align-items: center;
  gap: 6px 28px;
  padding: 11px 0;
  border-bottom: 1px solid ${colour('rule')};
  .who {
    grid-area: who;
  }
  .who strong {
    display: block;
    font-size: 19px;
  }
  .what {
    grid-area: what;
  }
  .last {
    grid-area: last;
  }
  .go {
    grid-area: go;
  }
  small {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .restricted {
    display: block;
    font-weight: 650;
    color: ${colour('bad')};
  }
  .note {
    display: block;
    margin-top: 2px;
    max-width: 44ch;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: 1fr 1.2fr auto;
    grid-template-areas: 'who what go' 'who last go';
    gap: 2px 20px;
  }
  @media (max-width: ${NARROW}) {
    grid-template-columns: 1fr auto;
    grid-template-areas: 'who go' 'what what' 'last last';
    gap: 8px 12px;
  }
`;

const What = ({ line }: { line: SquadLineReply }) => (
  <div className="what">
    {line.patternName}
    <br />
    <small>
      <RungMeter rung={line.rung} of={line.rungs} />{' '}
      <Link to={`/ladder/${line.patternId}/${line.athlete.id}`}>{line.rungName}</Link>
    </small>
  </div>
);

const Last = ({ last }: { last: LastSetReply | null }) =>
  last ? (
    <div className="last">
      <Link to={`/review/${last.id}`}>{answerWords(last.decision, last.outcome)}</Link>
      <br />
      <small>
        {say('startedatRungRung', { startedAt: dayWords(last.startedAt), rung: last.rung })}
      </small>
    </div>
  ) : (
    <div className="last">
      <small>{say('noSetYet')}</small>
    </div>
  );

const Athlete = ({ line }: { line: SquadLineReply }) => {
  const { athlete } = line;
  return (
    <Line>
      <div className="who">
        <strong>
          <Link to={`/people/${athlete.id}`}>{athlete.name}</Link>
        </strong>
        <small>
          {line.restricted && <span className="restricted">{say('restrictedNow')}</span>}
          {say('handHandedAgeband', { hand: athlete.hand, ageBand: athlete.ageBand })}
          {athlete.note && <span className="note">{athlete.note}</span>}
        </small>
      </div>
      <What line={line} />
      <Last last={line.lastSet} />
      <div className="go">
        <ButtonLink
          to={`/floor/${athlete.id}`}
          aria-label={say('startDrillAthlete', { athlete: athlete.name })}
        >
          <Play size={17} aria-hidden /> {say('startDrill')}
        </ButtonLink>
      </div>
    </Line>
  );
};

/** Who can move up now, in one sentence: where the coach's eye should go first. */
function squadSentence(lines: readonly SquadLineReply[]): string {
  const ready = lines.filter(
    ({ lastSet, rung }) => lastSet?.decision.answer === 'move up' && lastSet.rung === rung,
  );
  const oneAway = lines.filter(
    ({ lastSet }) =>
      lastSet?.decision.answer === 'not enough reps yet' && lastSet.outcome === 'passed',
  );
  const names = (some: readonly SquadLineReply[]) =>
    listWords(some.map(({ athlete }) => athlete.name));
  if (lines.length === 0) return say('noAthletesThisClubYet');
  if (lines.every(({ lastSet }) => lastSet === null)) return say('nobodyTimedYet');
  if (ready.length > 0) return say('namesCanMoveUp', { names: names(ready) });
  if (oneAway.length > 0)
    return say('namesWhichOneMorePassedSet', {
      names: names(oneAway),
      which: oneAway.length === 1 ? 'needs' : 'need',
    });
  return say('linesEveryoneMiddleRung', { lines: lines.length });
}

/** The squad: who, what they are working on, how the last set went, and the way to the floor. */
export function SquadPage(): ReactElement {
  const squad = useSquad();
  const groups = useGroupFilter();
  const lines = squad.data && groups.of(squad.data, ({ athlete }) => athlete.id);
  return (
    <Page name={say('squad')}>
      <Headline>{lines ? squadSentence(lines) : say('squad')}</Headline>
      {squad.error && !lines && <Failed error={squad.error} again={() => void squad.refetch()} />}
      {squad.isPending && <Quiet>{say('readingSquad')}</Quiet>}
      {groups.field && (
        <div style={{ maxWidth: 260, marginTop: 14 }}>
          <SelectField {...groups.field} />
        </div>
      )}
      {lines && lines.length > 0 && (
        <List>
          {lines.map((line) => (
            <Athlete key={line.athlete.id} line={line} />
          ))}
        </List>
      )}
      {lines && (
        <p style={{ display: 'flex', flexWrap: 'wrap', gap: 12, marginTop: 20 }}>
          <ButtonLink to="/people/new" $weight={lines.length === 0 ? 'main' : 'plain'}>
            <UserPlus size={18} aria-hidden /> {say('addAthlete')}
          </ButtonLink>
          <ButtonLink to="/people">{say('everyone')}</ButtonLink>
          <ButtonLink to="/clubs">{say('otherClubs')}</ButtonLink>
        </p>
      )}
    </Page>
  );
}
