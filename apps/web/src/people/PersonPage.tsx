import type { AthleteBody, PersonReply } from '@orthokin/contract';
import { pathOf, ROUTES } from '@orthokin/contract/routes';
import { Play } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { useClub } from '../api/club.js';
import { useLibrary } from '../api/patterns.js';
import { useArchiveAthlete, useEraseAthlete, usePeople, useSaveAthlete } from '../api/people.js';
import type { Erasure } from '@orthokin/core/people';
import { Button, ButtonAnchor, ButtonLink } from '../parts/Button.js';
import { SelectField } from '../parts/form/SelectField.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { ERASURE_OPTIONS, say } from '../words/people.js';
import { isOvertaken } from '../api/client.js';
import { overtaken, useNews } from '../api/news.js';
import { OvertakenPerson } from './OvertakenPerson.js';
import { bodyOf } from './person-body.js';
import { PersonForm } from './PersonForm.js';

const Narrow = styled.div`
  max-width: 760px;
`;

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  margin-top: 26px;
`;

const blank = (patternId: string): AthleteBody => ({
  ...{ name: '', hand: 'right', ageBand: 'adult', colourVision: 'full', patternId },
});

/** Edits an athlete, or adds one. */
export function PersonPage(): ReactElement {
  const { athleteId = 'new' } = useParams();
  const people = usePeople();
  const library = useLibrary();
  const person = people.data?.find(({ id }) => id === athleteId);
  const failed = people.error ?? library.error;
  const patterns = (library.data ?? [])
    .filter(({ archived }) => !archived)
    .map(({ id, pattern }) => [id, pattern.name] as const);
  const [first] = patterns;
  const isNew = athleteId === 'new';
  if (people.data && library.data && (isNew || person)) {
    if (isNew && !first)
      return (
        <Page name={say('newAthlete')}>
          <Headline>{say('noPattern')}</Headline>
          <ButtonLink to="/patterns">{say('makePattern')}</ButtonLink>
        </Page>
      );
    return (
      <Editing
        key={athleteId}
        known={person ?? null}
        from={person ? bodyOf(person) : blank(first?.[0] ?? '')}
        patterns={patterns}
      />
    );
  }
  return (
    <Page name={say('people')}>
      {failed ? (
        <Failed
          error={failed}
          again={() => {
            void people.refetch();
            void library.refetch();
          }}
        />
      ) : people.data && library.data ? (
        <>
          <Headline>{say('notHere')}</Headline>
          <Link to="/people">{say('backToPeople')}</Link>
        </>
      ) : (
        <Quiet>{say('readingPeople')}</Quiet>
      )}
    </Page>
  );
}

function Editing({
  known,
  from,
  patterns,
}: {
  known: PersonReply | null;
  from: AthleteBody;
  patterns: readonly (readonly [id: string, name: string])[];
}): ReactElement {
  const { unit } = useClub();
  const navigate = useNavigate();
  const late = useNews(overtaken).find(({ id }) => id === known?.id)?.item ?? null;
  const [body, setBody] = useState(late ?? from);
  // Created once per page, so that sending again after a lost network adds nobody twice.
  const [athleteId] = useState(() => known?.id ?? v7());
  const save = useSaveAthlete();
  const name = body.name.trim();
  const isAside = known !== null && (isOvertaken(save.error) || late !== null);
  const leave = (then: string) => {
    overtaken.seen(athleteId);
    void navigate(then);
  };
  const send = (then: string, revision = body.revision) =>
    save.mutate(
      { athleteId, body: { ...body, name, ...(revision != null && { revision }) } },
      { onSuccess: () => leave(then) },
    );
  return (
    <Page name={known?.name ?? say('newAthlete')}>
      <Narrow>
        <Quiet>
          <Link to={known ? `/people/${athleteId}` : '/people'}>
            {known?.name ?? say('backToPeople')}
          </Link>
        </Quiet>
        <Headline style={{ margin: '4px 0 18px' }}>{known?.name ?? say('newAthlete')}</Headline>
        {isAside && (
          <OvertakenPerson
            mine={{ ...body, name }}
            {...{ athleteId, patterns, unit }}
            isPending={save.isPending}
            onMine={(revision) => send(`/people/${athleteId}`, revision)}
            onTheirs={() => leave(`/people/${athleteId}`)}
          />
        )}
        <PersonForm body={body} patterns={patterns} unit={unit} onChange={setBody} />
        {save.error && !isAside && <Notice>{save.error.message}</Notice>}
        <Ways>
          <Button
            weight="main"
            isDisabled={name === '' || save.isPending}
            onPress={() => send(known ? `/people/${athleteId}` : '/people')}
          >
            {known || name === '' ? say('save') : say('add', { name })}
          </Button>
          {!known && (
            <Button
              isDisabled={name === '' || save.isPending}
              onPress={() => send(`/floor/${athleteId}`)}
            >
              <Play size={17} aria-hidden /> {say('addAndStart')}
            </Button>
          )}
          {name === '' && <Quiet>{say('nameFirst')}</Quiet>}
        </Ways>
        {known && <Leaving person={known} />}
      </Narrow>
    </Page>
  );
}

/** Archiving, which can be undone, and erasing, which cannot. */
function Leaving({ person: { id, name, archived } }: { person: PersonReply }): ReactElement {
  const { clubId } = useClub();
  const navigate = useNavigate();
  const archive = useArchiveAthlete();
  const erase = useEraseAthlete();
  const [asked, setAsked] = useState(false);
  const [how, setHow] = useState<Erasure>('removed');
  const error = archive.error ?? erase.error;
  return (
    <section id="leaving" style={{ marginTop: 40 }}>
      <Quiet>{say('putAwayMeans')}</Quiet>
      <Ways style={{ marginTop: 10 }}>
        <Button
          isDisabled={archive.isPending}
          onPress={() =>
            archive.mutate(
              { athleteId: id, archived: !archived },
              { onSuccess: () => void navigate('/people') },
            )
          }
        >
          {archived ? say('bringBack') : say('putAway')}
        </Button>
        <ButtonAnchor
          href={`/api/${pathOf(ROUTES.athleteFile, { clubId, athleteId: id })}`}
          download
        >
          {say('everythingOf', { name })}
        </ButtonAnchor>
        {archived && !asked && (
          <Button onPress={() => setAsked(true)}>{say('deleteForGood')}</Button>
        )}
      </Ways>
      {asked && (
        <div role="group" aria-label={say('deleteForGood')}>
          <p>{say('deleteMeans', { name })}</p>
          <div style={{ maxWidth: 340 }}>
            <SelectField
              label={say('eraseHow')}
              value={how}
              options={ERASURE_OPTIONS}
              onChange={setHow}
            />
          </div>
          <Quiet style={{ marginTop: 8 }}>
            {say(how === 'nameless' ? 'namelessMeans' : 'removedMeans')}
          </Quiet>
          <Ways style={{ marginTop: 10 }}>
            <ButtonAnchor href={`/api/${pathOf(ROUTES.clubFile, { clubId })}`} download>
              {say('takeFile')}
            </ButtonAnchor>
            <Button
              isDisabled={erase.isPending}
              onPress={() =>
                erase.mutate({ athleteId: id, how }, { onSuccess: () => void navigate('/people') })
              }
            >
              {say('deleteName', { name })}
            </Button>
            <Button onPress={() => setAsked(false)}>{say('keep', { name })}</Button>
          </Ways>
        </div>
      )}
      {error && <Notice>{error.message}</Notice>}
    </section>
  );
}
