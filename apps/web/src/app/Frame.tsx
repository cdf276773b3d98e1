import type { MeReply } from '@orthokin/contract';
import { lazy, Suspense, useCallback, useMemo, type ReactElement } from 'react';
import { Outlet, ScrollRestoration, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { ChosenClub, ClubContext, useClubs } from '../api/club.js';
import { useMe, WhoContext } from '../api/me.js';
import { differing, overtaken, useNews } from '../api/news.js';
import { useRemembered } from '../device/useRemembered.js';
import { FaultNames } from '../parts/fault-names.js';
import { Failed } from '../parts/Notice.js';
import { Page, Quiet } from '../parts/Text.js';
import { ClockOff, Refusals } from './FrameNotices.js';
import { Header } from './Header.js';
import { WithoutNetwork } from './offline/WithoutNetwork.js';
import { useWhoRecords } from './useWhoRecords.js';
import { StartWalk } from './walk.js';
import { Walk } from './Walk.js';
import { colour } from '../parts/tokens.js';
import { say } from '../words/app.js';
import { faultWords } from '../words/fault.js';

const Skip = styled.a`
  position: absolute;
  left: -999px;
  &:focus {
    left: 12px;
    top: 12px;
    z-index: 5;
    padding: 8px 14px;
    background: ${colour('raised')};
  }
`;

const Differences = lazy(async () => ({
  default: (await import('./Differences.js')).Differences,
}));
const SignInPage = lazy(async () => ({
  default: (await import('./accounts/SignInPage.js')).SignInPage,
}));
const WelcomePage = lazy(async () => ({
  default: (await import('./welcome/WelcomePage.js')).WelcomePage,
}));

/** Whether a device without an open club must sign in rather than choose a club. */
const mustSignIn = ({ signedIn, isThisMachine, hasOwned }: MeReply): boolean =>
  !signedIn && (hasOwned || !isThisMachine);

/** The shell around all pages. */
export function Frame(): ReactElement {
  const me = useMe();
  const clubs = useClubs();
  const error = me.error ?? clubs.error;
  const [kept, open] = useRemembered<string | null>('club', null);
  const [stop, setStop] = useRemembered<number | null>('walk', null);
  const navigate = useNavigate();
  const startWalk = useCallback(() => {
    setStop(0);
    void navigate('/');
    // `setStop` behaves the same in every render.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [navigate]);
  const differ = useNews(differing).length + useNews(overtaken).length > 0;
  const { pathname } = useLocation();
  const signedIn = me.data?.signedIn ?? null;
  useWhoRecords(me.data);
  const wanted = signedIn?.clubId ?? kept;
  const chosen = clubs.data?.find(({ clubId }) => clubId === wanted);
  // A new device opens the first club. If the club it had open is gone it must not silently show another club's
  // people.
  const club = me.data && (chosen ?? (wanted === null ? clubs.data?.[0] : undefined));
  // Whoever must sign in or choose a club first gets that on every page.
  const isOutside = !club && clubs.data !== undefined && me.data !== undefined;
  const role = signedIn?.role ?? 'owner';
  const name = signedIn?.accountId ? signedIn.name : null;
  const who = useMemo(() => ({ role, name }), [role, name]);
  const choice = useMemo(
    () => ({ clubId: chosen?.clubId ?? null, open }),
    // `open` behaves the same in every render.
    // oxlint-disable-next-line react/exhaustive-deps
    [chosen?.clubId],
  );
  return (
    <>
      <Skip href="#place">{say('content')}</Skip>
      <Header {...{ role, club, hasPlaces: !isOutside, startWalk }} />
      <Refusals />
      <ClockOff />
      <div id="place">
        <ChosenClub value={choice}>
          <StartWalk value={startWalk}>
            {club ? (
              <WhoContext key={`${club.clubId} ${role}`} value={who}>
                <ClubContext value={club}>
                  <WithoutNetwork />
                  {differ && (
                    <Suspense>
                      <Differences />
                    </Suspense>
                  )}
                  <FaultNames value={(fault) => faultWords(fault, club.faults).name}>
                    <Outlet />
                  </FaultNames>
                </ClubContext>
              </WhoContext>
            ) : isOutside ? (
              <Suspense>
                {mustSignIn(me.data) && pathname !== '/clubs' ? <SignInPage /> : <WelcomePage />}
              </Suspense>
            ) : (
              <Page name={say('noClub')}>
                {error ? (
                  <Failed
                    error={error}
                    again={() => {
                      void me.refetch();
                      void clubs.refetch();
                    }}
                  />
                ) : (
                  <Quiet>{say('openingClub')}</Quiet>
                )}
              </Page>
            )}
          </StartWalk>
        </ChosenClub>
      </div>
      {stop !== null && club && <Walk stop={stop} onStop={setStop} />}
      <ScrollRestoration />
    </>
  );
}
