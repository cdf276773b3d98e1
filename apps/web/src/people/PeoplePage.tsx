import type { PersonReply } from '@orthokin/contract';
import { Play, ShieldCheck, TableProperties, UserPlus, Users } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useArchiveAthlete, usePeople } from '../api/people.js';
import { ROUTES } from '@orthokin/contract/routes';
import { AGE_BANDS } from '@orthokin/core/people';
import { useRemembered } from '../device/useRemembered.js';
import { ForWhom } from '../api/ForWhom.js';
import { useGroupFilter } from '../api/useGroupFilter.js';
import { Button, ButtonLink } from '../parts/Button.js';
import { SelectField } from '../parts/form/SelectField.js';
import { SearchField } from '../parts/form/SearchField.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../parts/Text.js';
import { colour, NARROW } from '../parts/tokens.js';
import { say, SIDE_WORDS } from '../words/people.js';
import { say as sayOfPrivacy } from '../words/privacy.js';

const Top = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px 20px;
  margin-top: 18px;
`;

const List = styled.ul`
  margin: 18px 0 0;
  padding: 0;
  list-style: none;
  border-top: 1px solid ${colour('rule')};
`;

const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(200px, 1fr) minmax(0, 2fr) auto;
  align-items: center;
  gap: 4px 28px;
  padding: 10px 0;
  border-bottom: 1px solid ${colour('rule')};
  strong {
    font-size: 18px;
  }
  small {
    display: block;
    font-size: 15px;
    color: ${colour('quiet')};
  }
  @media (max-width: ${NARROW}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
`;

const fits = ({ name, called, note, goal }: PersonReply, search: string): boolean => {
  const words = [name, called, note, goal].join(' ').toLowerCase();
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => words.includes(word));
};

const SORTS = [
  ['as they are', say('sortAsIs')],
  ['age', say('sortAge')],
  ['hand', say('sortHand')],
] as const;
type Sort = (typeof SORTS)[number][0];

/** Sorts by age band, youngest first, or by hand; otherwise keeps the given order. */
function sorted(people: readonly PersonReply[], sort: Sort): readonly PersonReply[] {
  switch (sort) {
    case 'as they are':
      return people;
    case 'age':
      return [...people].sort(
        (a, b) =>
          AGE_BANDS.indexOf(a.ageBand) - AGE_BANDS.indexOf(b.ageBand) ||
          (b.bornOn ?? '').localeCompare(a.bornOn ?? ''),
      );
    case 'hand':
      return [...people].sort((a, b) => a.hand.localeCompare(b.hand));
  }
}

function Person({ person, children }: { person: PersonReply; children: ReactElement }) {
  const { id, name, called, hand, ageBand, note, goal } = person;
  return (
    <Line>
      <div>
        <Link to={`/people/${id}`}>
          <strong>{name}</strong>
        </Link>
        {called && ` (${called})`}
        <small>{say('handedBand', { hand: SIDE_WORDS[hand], ageBand })}</small>
      </div>
      <small>{[goal, note].filter(Boolean).join(' · ')}</small>
      <Ways>{children}</Ways>
    </Line>
  );
}

/** All athletes of the club: find, add, edit, archive, restore. */
export function PeoplePage(): ReactElement {
  const people = usePeople();
  const archive = useArchiveAthlete();
  const [search, setSearch] = useState('');
  const [sort, setSort] = useRemembered<Sort>('people-sort', 'as they are');
  const groups = useGroupFilter();
  const all = people.data ?? [];
  const training = groups.of(
    all.filter(({ archived }) => !archived),
    ({ id }) => id,
  );
  const away = all.filter(({ archived }) => archived);
  const shown = sorted(
    training.filter((person) => fits(person, search)),
    sort,
  );
  return (
    <Page name={say('people')}>
      <Headline>
        {people.data ? say('peopleInSquad', { count: training.length }) : say('people')}
      </Headline>
      {people.error && !people.data && (
        <Failed error={people.error} again={() => void people.refetch()} />
      )}
      {people.isPending && <Quiet>{say('readingPeople')}</Quiet>}
      {archive.error && <Notice>{archive.error.message}</Notice>}
      <Top>
        <ForWhom asks={ROUTES.addAthletes}>
          <ButtonLink to="/people/new" $weight="main">
            <UserPlus size={18} aria-hidden /> {say('addAthlete')}
          </ButtonLink>
          <ButtonLink to="/people/bring">
            <TableProperties size={18} aria-hidden /> {say('bringMany')}
          </ButtonLink>
        </ForWhom>
        {training.length > 5 && (
          <SearchField
            label={say('search')}
            placeholder={say('searchBy')}
            value={search}
            onChange={setSearch}
          />
        )}
        {groups.field && (
          <div style={{ flex: '0 1 220px' }}>
            <SelectField {...groups.field} />
          </div>
        )}
        {training.length > 5 && (
          <div style={{ flex: '0 1 190px' }}>
            <SelectField
              label={say('sort')}
              hideLabel
              value={sort}
              options={SORTS}
              onChange={setSort}
            />
          </div>
        )}
        <ButtonLink to="/people/squads">
          <Users size={18} aria-hidden /> {say('squads')}
        </ButtonLink>
        <ForWhom asks={ROUTES.privacy}>
          <ButtonLink to="/people/privacy">
            <ShieldCheck size={18} aria-hidden /> {sayOfPrivacy('title')}
          </ButtonLink>
        </ForWhom>
      </Top>
      {people.data && training.length === 0 && (
        <Quiet style={{ marginTop: 16 }}>{say('addFirst')}</Quiet>
      )}
      {training.length > 0 && shown.length === 0 && (
        <Quiet style={{ marginTop: 16 }}>{say('nobodyFits')}</Quiet>
      )}
      {shown.length > 0 && (
        <List aria-label={say('people')}>
          {shown.map((person) => (
            <Person key={person.id} person={person}>
              <>
                <ButtonLink
                  to={`/people/${person.id}/details`}
                  aria-label={say('changeName', { name: person.name })}
                >
                  {say('change')}
                </ButtonLink>
                <ButtonLink
                  to={`/floor/${person.id}`}
                  aria-label={say('startDrillName', { name: person.name })}
                >
                  <Play size={17} aria-hidden /> {say('startDrill')}
                </ButtonLink>
              </>
            </Person>
          ))}
        </List>
      )}
      {away.length > 0 && (
        <section style={{ marginTop: 34 }}>
          <Heading>{say('putAwayOnes', { count: away.length })}</Heading>
          <Quiet>{say('putAwayMeans')}</Quiet>
          <List aria-label={say('putAway')}>
            {away.map((person) => (
              <Person key={person.id} person={person}>
                <Button
                  isDisabled={archive.isPending}
                  aria-label={say('bringBackName', { name: person.name })}
                  onPress={() => archive.mutate({ athleteId: person.id, archived: false })}
                >
                  {say('bringBack')}
                </Button>
              </Person>
            ))}
          </List>
        </section>
      )}
    </Page>
  );
}
