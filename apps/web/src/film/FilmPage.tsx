import type { AthleteCourseReply } from '@orthokin/contract';
import type { SetSource } from '@orthokin/core/run';
import { DAY_MS } from '@orthokin/core/stats';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Trash2 } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useLibrary } from '../api/patterns.js';
import { useCourse } from '../api/review.js';
import { useSquad } from '../api/squad.js';
import { useAddress } from '../parts/useAddress.js';
import { KEPT } from './kept-films.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { SelectField } from '../parts/form/SelectField.js';
import { Lines } from '../parts/Lines.js';
import { Failed } from '../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../parts/Text.js';
import { colour, MIDDLE } from '../parts/tokens.js';
import { angleWords, say } from '../words/film.js';
import { dayWords, timeWords } from '../words/format.js';
import { keepUntil, letGo, roomLeft } from '../device/film-store.js';
import { Row } from './Row.js';
import { useKeptFilms } from './useKept.js';

const List = styled(Lines)`
  max-width: 720px;
  margin-top: 14px;
  li {
    min-height: 48px;
    border-top: 1px solid ${colour('rule')};
  }
  .end {
    display: flex;
    gap: 8px;
    margin-left: auto;
  }
`;

/** Kept films, and film of a pattern, stay visible without scrolling past all sets. */
const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px 48px;
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const SOURCE_WORDS: Readonly<Record<SetSource, string>> = {
  hand: say('byHand'),
  sensor: say('byBeacons'),
  film: say('byFilm'),
  simulated: say('bySimulated'),
  none: '',
};

const MOST_SHOWN = 20;
const MEGA = 1e6;
const GIGA = 1e9;
/** Free space is only known roughly, so no more than two digits are shown. */
const sizeWords = (bytes: number): string =>
  bytes < GIGA
    ? say('megabytes', { n: Math.floor(bytes / MEGA) })
    : say('gigabytes', { n: Math.floor(bytes / GIGA) });

/** Value for "keep until deleted". */
const ALWAYS = 'always';
const KEEPS = [
  [ALWAYS, say('untilDeleted')],
  ...[7, 30, 90].map((days) => [String(days), say('forDays', { days })] as const),
] as const;

/** Films on this device, and the sets a film can be marked for. */
export function FilmPage(): ReactElement {
  const squad = useSquad();
  const [address, change] = useAddress();
  const people = (squad.data ?? []).map(({ athlete }) => athlete);
  const athleteId = address.get('athlete') ?? people[0]?.id ?? '';
  const course = useCourse(athleteId);
  const error = squad.error ?? course.error;
  return (
    <Page name={say('film')}>
      <Headline>{say('whoseFilm')}</Headline>
      <Quiet>{say('chooseSet')}</Quiet>
      {error && !course.data && <Failed error={error} again={() => void squad.refetch()} />}
      {people.length > 0 && (
        <div style={{ maxWidth: 320, marginTop: 14 }}>
          <SelectField
            label={say('athlete')}
            value={athleteId}
            options={people.map(({ id, name }) => [id, name] as const)}
            onChange={(id) => change({ athlete: id })}
          />
        </div>
      )}
      <Columns>
        <div>{course.data && <Sets course={course.data} />}</div>
        <div>
          <OfPattern />
          <Kept />
        </div>
      </Columns>
    </Page>
  );
}

/** The newest sets; untimed ones are waiting for their film. */
function Sets({
  course: { athlete, sets, patterns },
}: {
  course: AthleteCourseReply;
}): ReactElement {
  const newest = [...sets].sort((a, b) => b.atMs - a.atMs);
  const waiting = newest.filter(({ source }) => source === 'none');
  const others = newest.filter(({ source }) => source !== 'none');
  const shown = [...waiting, ...others].slice(0, MOST_SHOWN);
  if (shown.length === 0)
    return (
      <>
        <Quiet style={{ marginTop: 14 }}>{say('noSets')}</Quiet>
        <p>
          <ButtonLink to={`/floor/${athlete.id}`} $weight="main">
            {say('toTheFloor')}
          </ButtonLink>
        </p>
      </>
    );
  return (
    <List>
      {shown.map(({ setId, atMs, source, patternId, rung }) => {
        const at = new Date(atMs).toISOString();
        return (
          <li key={setId}>
            <Link to={`/film/${setId}`}>
              {dayWords(at)} {timeWords(at)}
            </Link>
            <span>
              {say('patternRung', {
                pattern: patterns.find(({ id }) => id === patternId)?.name ?? '',
                rung,
              })}
            </span>
            <Quiet as="span">
              {source === 'none'
                ? say('notTimed')
                : say('timedBy', { source: SOURCE_WORDS[source] })}
            </Quiet>
          </li>
        );
      })}
    </List>
  );
}

/** Leads to film of a pattern, which belongs to no set. */
function OfPattern(): ReactElement | null {
  const library = useLibrary();
  const [chosen, setChosen] = useState<string | null>(null);
  const patterns = (library.data ?? []).filter(({ archived }) => !archived);
  const id = chosen ?? patterns[0]?.id;
  if (!id) return null;
  return (
    <section style={{ margin: '14px 0 34px' }}>
      <Heading>{say('ofPattern')}</Heading>
      <Row>
        <div style={{ width: 320 }}>
          <SelectField
            label={say('pattern')}
            value={id}
            options={patterns.map(({ id, pattern }) => [id, pattern.name] as const)}
            onChange={setChosen}
          />
        </div>
        <ButtonLink to={`/film/pattern/${id}`}>{say('openPattern')}</ButtonLink>
      </Row>
    </section>
  );
}

function Kept(): ReactElement {
  const client = useQueryClient();
  const films = useKeptFilms();
  const room = useQuery({ queryKey: [...KEPT, 'room'], queryFn: roomLeft, staleTime: 0 });
  const again = () => client.invalidateQueries({ queryKey: KEPT });
  const remove = (id: string) => void letGo(id).then(again);
  const keep = (id: string, until: number | null) => void keepUntil(id, until).then(again);
  return (
    <section>
      <Heading>{say('keptHere')}</Heading>
      <Quiet>{say('staysHere')}</Quiet>
      {room.data !== undefined && (
        <Quiet>{say('roomForFilms', { room: sizeWords(room.data) })}</Quiet>
      )}
      {films.data?.length === 0 && <Quiet>{say('nothingKept')}</Quiet>}
      <List>
        {(films.data ?? []).map(
          ({ id, setId, patternId, name, bytes, keptAt, keptUntil, angle }) => (
            <li key={id}>
              <Link to={`/film/${setId ?? `pattern/${patternId ?? ''}`}?film=${id}`}>
                {say('keptFilm', { name, megabytes: Math.max(1, Math.round(bytes / MEGA)) })}
              </Link>
              <Quiet as="span">
                {dayWords(new Date(keptAt).toISOString())}
                {angle && `, ${angleWords(angle)}`}
              </Quiet>
              <span className="end">
                <SelectField
                  label={say('howLong', { name })}
                  hideLabel
                  value={
                    keptUntil === null ? ALWAYS : String(Math.round((keptUntil - keptAt) / DAY_MS))
                  }
                  options={KEEPS}
                  onChange={(days) =>
                    keep(id, days === ALWAYS ? null : keptAt + Number(days) * DAY_MS)
                  }
                />
                <Button aria-label={say('deleteFilm', { name })} onPress={() => remove(id)}>
                  <Trash2 size={18} aria-hidden />
                </Button>
              </span>
            </li>
          ),
        )}
      </List>
    </section>
  );
}
