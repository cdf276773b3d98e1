import type { ClubReply } from '@orthokin/contract';
import { lazy, Suspense, useContext, useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { DEMO_CLUB_ID, ROLES } from '@orthokin/core/people';
import { ChosenClub, useBringDemo, useClubs, useThrowDemoAway } from '../../api/club.js';
import { useMe, useTryRole } from '../../api/me.js';
import { remembered } from '../../device/preferences.js';
import { Button } from '../../parts/Button.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, NARROW } from '../../parts/tokens.js';
import { say } from '../../words/people.js';
import { roleWords } from '../../words/account.js';
import { StartWalk } from '../walk.js';
import { BeginClub } from './BeginClub.js';

const Narrow = styled.div`
  max-width: 820px;
`;

const List = styled.ul`
  margin: 22px 0 0;
  padding: 0;
  list-style: none;
  border-top: 1px solid ${colour('rule')};
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: 6px 24px;
    padding: 14px 0;
    border-bottom: 1px solid ${colour('rule')};
  }
  @media (max-width: ${NARROW}) {
    li {
      grid-template-columns: minmax(0, 1fr);
      gap: 12px;
    }
  }
  strong {
    font-size: 20px;
  }
  small {
    display: block;
    max-width: 58ch;
    font-size: 15px;
    color: ${colour('quiet')};
  }
`;

const BringClub = lazy(async () => ({
  default: (await import('../../review/files/BringClub.js')).BringClub,
}));

const headlineOf = (clubs: readonly ClubReply[]): string => {
  if (clubs.length === 0) return say('noClubYet');
  return clubs.some(({ clubId }) => clubId !== DEMO_CLUB_ID)
    ? say('whichClub')
    : say('lookRoundOrBegin');
};

/** Whether nobody has seen the introduction on this device. */
const isNewHere = (): boolean =>
  remembered<number | undefined | null>('walk', undefined) === undefined;

/** The demo club, which can be deleted and restored; `name` is `null` while it is deleted. */
function Demo({ name }: { name: string | null }) {
  const away = useThrowDemoAway();
  const back = useBringDemo();
  const [asked, setAsked] = useState(false);
  const error = away.error ?? back.error;
  return (
    <section style={{ marginTop: 34 }}>
      {name === null ? (
        <Button isDisabled={back.isPending} onPress={() => back.mutate()}>
          {say(back.isPending ? 'demoComesBack' : 'bringDemoBack')}
        </Button>
      ) : asked ? (
        <>
          <Quiet style={{ marginBottom: 10 }}>{say('throwDemoMeans')}</Quiet>
          <Button
            isDisabled={away.isPending}
            onPress={() => away.mutate(name, { onSuccess: () => setAsked(false) })}
          >
            {say('yesThrowDemo')}
          </Button>{' '}
          <Button onPress={() => setAsked(false)}>{say('keepDemo')}</Button>
        </>
      ) : (
        <Button onPress={() => setAsked(true)}>{say('throwDemoAway')}</Button>
      )}
      {error && <Notice>{error.message}</Notice>}
    </section>
  );
}

/** Opens the demo in another role. */
function TryRoles() {
  const tries = useTryRole();
  const navigate = useNavigate();
  return (
    <section style={{ marginTop: 34 }}>
      <Heading>{say('tryRoles')}</Heading>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 10 }}>
        {ROLES.map((role) => (
          <Button
            key={role}
            isDisabled={tries.isPending}
            onPress={() => {
              void tries.mutateAsync(role).then(
                () => navigate('/'),
                () => undefined,
              );
            }}
          >
            {roleWords(role)}
          </Button>
        ))}
      </div>
      {tries.error && <Notice>{tries.error.message}</Notice>}
    </section>
  );
}

/** The first page of a new device, and the list of clubs. */
export function WelcomePage(): ReactElement {
  const me = useMe();
  const clubs = useClubs();
  const { clubId: openId, open } = useContext(ChosenClub);
  const navigate = useNavigate();
  const [begins, setBegins] = useState(false);
  const startWalk = useContext(StartWalk);
  const all = clubs.data;
  const mayBegin = me.data?.isThisMachine === true && !me.data.signedIn;
  if (!all)
    return (
      <Page name={say('clubs')}>
        {clubs.error && <Failed error={clubs.error} again={() => void clubs.refetch()} />}
      </Page>
    );
  return (
    <Page name={say('clubs')}>
      <Narrow>
        <Headline>{headlineOf(all)}</Headline>
        <Quiet style={{ marginTop: 8, maxWidth: '62ch' }}>{say('aboutOrthokin')}</Quiet>
        <List aria-label={say('clubs')}>
          {all.map(({ clubId, name, sport }) => (
            <li key={clubId}>
              <div>
                <strong>{name}</strong>
                <small>
                  {[
                    clubId === DEMO_CLUB_ID ? say('demoMeans') : sport,
                    clubId === openId && say('isOpen'),
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </small>
              </div>
              <Button
                weight={all.length === 1 && !begins ? 'main' : 'plain'}
                onPress={() => {
                  open(clubId);
                  if (clubId === DEMO_CLUB_ID && isNewHere()) startWalk();
                  else void navigate('/');
                }}
              >
                {say('openClub', { name })}
              </Button>
            </li>
          ))}
          {mayBegin && (
            <li>
              <div>
                <strong>{say('beginOwn')}</strong>
                <small>{say('beginMeans')}</small>
              </div>
              {!begins && <Button onPress={() => setBegins(true)}>{say('beginOwn')}</Button>}
            </li>
          )}
        </List>
        {mayBegin && (begins || all.length === 0) && <BeginClub />}
        {me.data?.hasOwned && (
          <p style={{ marginTop: 22 }}>
            <Link to="/sign-in">{say('signInToClub')}</Link>
          </p>
        )}
        {me.data?.canTryRoles && <TryRoles />}
        {mayBegin && (
          <Demo name={all.find(({ clubId }) => clubId === DEMO_CLUB_ID)?.name ?? null} />
        )}
        {mayBegin && all.length === 0 && (
          <section style={{ marginTop: 34 }}>
            <Quiet>{say('bringFile')}</Quiet>
            <Suspense>
              <BringClub />
            </Suspense>
          </section>
        )}
      </Narrow>
    </Page>
  );
}
