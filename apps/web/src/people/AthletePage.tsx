import type { AthleteCareReply, PersonReply, SquadLineReply } from '@orthokin/contract';
import { ROUTES } from '@orthokin/contract/routes';
import { ALL_NEEDS, needKey, newestLooks, type Need } from '@orthokin/core/people';
import { ClipboardCheck, Pencil, Play } from 'lucide-react';
import { useContext, useEffect, type ReactElement } from 'react';
import { Link, useLocation } from 'react-router';
import styled from 'styled-components';
import { ForWhom } from '../api/ForWhom.js';
import { useCourse } from '../api/review.js';
import { useSessionNotes } from '../api/sessions.js';
import { useSquad } from '../api/squad.js';
import { ButtonLink } from '../parts/Button.js';
import { EmergencyCard } from '../parts/EmergencyCard.js';
import { FaultNames } from '../parts/fault-names.js';
import { Heading, Headline, Page, Quiet } from '../parts/Text.js';
import { MIDDLE } from '../parts/tokens.js';
import { checkList } from '../words/care.js';
import { answerWords } from '../words/decision.js';
import { dayWords } from '../words/format.js';
import { noteWords } from '../words/session.js';
import { say as sayOfPrivacy } from '../words/privacy.js';
import { COLOUR_WORDS, say, SIDE_WORDS } from '../words/people.js';
import { Agreements } from './care/Agreements.js';
import { Restrictions } from './care/Restrictions.js';
import { OnAthlete } from './OnAthlete.js';
import { TheirLoad } from './TheirLoad.js';
import { Watched } from './Watched.js';

const NEWEST_NOTES = 3;

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  margin: 18px 0 30px;
`;

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 36px 56px;
  align-items: start;
  section {
    margin-bottom: 30px;
  }
  section p {
    max-width: 62ch;
  }
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** An athlete's page: their place, restrictions, and links to their weeks and printed sheets. */
export function AthletePage(): ReactElement {
  const squad = useSquad();
  return (
    <OnAthlete>
      {(person, care) => (
        <Athlete
          person={person}
          care={care}
          line={squad.data?.find(({ athlete }) => athlete.id === person.id) ?? null}
        />
      )}
    </OnAthlete>
  );
}

/** Where they stand, in one sentence. */
function standingSentence(line: SquadLineReply | null, archived: boolean): string {
  if (archived) return say('isPutAway');
  if (!line) return say('noLineYet');
  const { rung, rungs, rungName, patternName, lastSet } = line;
  const where = say('onRung', { rung, rungs, rungName, patternName });
  return lastSet
    ? say('standsAnd', { where, answer: answerWords(lastSet.decision, lastSet.outcome) })
    : say('standsUntimed', { where });
}

function Athlete({
  person,
  care,
  line,
}: {
  person: PersonReply;
  care: AthleteCareReply;
  line: SquadLineReply | null;
}) {
  const { id, name, called, hand, ageBand, goal, note, archived, sports } = person;
  const { hash } = useLocation();
  useEffect(() => {
    if (hash) document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [hash]);
  return (
    <Page name={name}>
      <Quiet>
        <Link to="/people">{say('backToPeople')}</Link>
      </Quiet>
      <Headline style={{ marginTop: 4 }}>
        {called ? say('nameCalled', { name, called }) : name}
      </Headline>
      <p style={{ margin: '8px 0 0', maxWidth: '70ch' }}>{standingSentence(line, archived)}</p>
      <Ways>
        {!archived && (
          <ButtonLink to={`/floor/${id}`} $weight="main">
            <Play size={18} aria-hidden /> {say('startDrill')}
          </ButtonLink>
        )}
        <EmergencyCard
          name={name}
          contacts={care.emergency?.contacts ?? []}
          note={care.emergency?.note ?? ''}
        />
        <ButtonLink to={`/people/${id}/details`}>
          <Pencil size={17} aria-hidden /> {say('changeKnown')}
        </ButtonLink>
      </Ways>
      <Columns>
        <div>
          <Restrictions athleteId={id} said={care.said} />
          <Watched person={person} seenLately={care.faultsLately} />
          <Checks athleteId={id} care={care} />
          <div id="papers">
            <Agreements athleteId={id} ageBand={ageBand} care={care} />
            <ForWhom asks={ROUTES.trail}>
              <p>
                <Link to={`/people/${id}/trail`}>{sayOfPrivacy('trailOf', { name })}</Link>
              </p>
            </ForWhom>
          </div>
        </div>
        <div>
          <section>
            <Heading>{say('knownOf')}</Heading>
            <p style={{ margin: 0 }}>
              {say('handedBand', { hand: SIDE_WORDS[hand], ageBand })}
              {sports && `, ${sports}`}
            </p>
            <p>
              {say('tellsApart', { colours: COLOUR_WORDS[person.colourVision] })}{' '}
              <Link to={`/people/${id}/colours`}>{say('colourTest')}</Link>
            </p>
            {goal && <p>{say('wants', { goal })}</p>}
            {note && <p>{note}</p>}
          </section>
          <section>
            <Heading>{say('theirWeeks')}</Heading>
            <p style={{ margin: '0 0 6px' }}>
              <Link to={`/review/athletes/${id}`}>{say('courseAndSides')}</Link>
            </p>
            {line && (
              <p style={{ margin: '0 0 6px' }}>
                <Link to={`/ladder/${line.patternId}/${id}`}>{say('theirLadder')}</Link>
              </p>
            )}
            {line && (
              <p style={{ margin: '0 0 6px' }}>
                <Link to={`/people/${id}/home`}>{say('sheetForHome')}</Link>
              </p>
            )}
            {line?.lastSet && (
              <p style={{ margin: 0 }}>
                <Link to={`/review/${line.lastSet.id}`}>
                  {say('lastSetOf', { day: dayWords(line.lastSet.startedAt) })}
                </Link>
              </p>
            )}
          </section>
          <TheirLoad athleteId={id} name={name} />
          <LastNotes athleteId={id} />
        </div>
      </Columns>
    </Page>
  );
}

function Checks({ athleteId, care: { said } }: { athleteId: string; care: AthleteCareReply }) {
  const newest = newestLooks(said.flatMap(({ check }) => check ?? []));
  const having = (some: (result: string | undefined) => boolean): Need[] =>
    ALL_NEEDS.filter((need) => some(newest.get(needKey(need))?.result));
  const open = having((result) => result === undefined);
  const notYet = having((result) => result === 'not yet' || result === 'hurts');
  const helped = having((result) => result === 'with help');
  return (
    <section aria-label={say('checks')}>
      <Heading>{say('checks')}</Heading>
      {open.length === ALL_NEEDS.length && <p>{say('noneLookedAt')}</p>}
      {open.length > 0 && open.length < ALL_NEEDS.length && (
        <p>{say('openChecks', { checks: checkList(open) })}</p>
      )}
      {notYet.length > 0 && <p>{say('notYetChecks', { checks: checkList(notYet) })}</p>}
      {helped.length > 0 && <p>{say('helpedChecks', { checks: checkList(helped) })}</p>}
      {open.length + notYet.length + helped.length === 0 && <p>{say('canAll')}</p>}
      <ButtonLink to={`/people/${athleteId}/checks`}>
        <ClipboardCheck size={18} aria-hidden /> {say('lookAtChecks')}
      </ButtonLink>
    </section>
  );
}

function LastNotes({ athleteId }: { athleteId: string }) {
  const { data } = useCourse(athleteId);
  const { data: seen = [] } = useSessionNotes();
  const faultName = useContext(FaultNames);
  const notes = [
    ...(data?.notes ?? []).map((note) => ({ ...note, to: `/review/${note.setId}` })),
    ...seen
      .filter((note) => note.athleteId === athleteId)
      .map((note) => ({
        ...note,
        text: noteWords(note, faultName),
        to: `/plan/held/${note.sessionId}`,
      })),
  ]
    .sort((one, other) => other.writtenAt.localeCompare(one.writtenAt))
    .slice(0, NEWEST_NOTES);
  if (notes.length === 0) return null;
  return (
    <section>
      <Heading>{say('lastNotes')}</Heading>
      {notes.map(({ id, to, text, writtenBy, writtenAt }) => (
        <p key={id} style={{ margin: '0 0 8px' }}>
          {text}{' '}
          <Quiet as="span">
            {writtenBy}, <Link to={to}>{dayWords(writtenAt)}</Link>
          </Quiet>
        </p>
      ))}
    </section>
  );
}
