import type { MeReply } from '@orthokin/contract';
import { isFor, ROUTES } from '@orthokin/contract/routes';
import { Moon, Sun, UserRound } from 'lucide-react';
import {
  lazy,
  Suspense,
  useCallback,
  useEffect,
  useMemo,
  useSyncExternalStore,
  type ReactElement,
} from 'react';
import { Link, NavLink, Outlet, ScrollRestoration, useLocation, useNavigate } from 'react-router';
import styled from 'styled-components';
import { ChosenClub, ClubContext, useClubs } from '../api/club.js';
import { useMe, WhoContext } from '../api/me.js';
import { differing, overtaken, useNews } from '../api/news.js';
import { useOutbox, useSending } from '../device/outbox-context.js';
import { isIn } from '../device/who.js';
import { useRemembered } from '../device/useRemembered.js';
import { onServerClock, serverAheadMs } from '../device/server-clock.js';
import { FaultNames } from '../parts/fault-names.js';
import { IconButton } from '../parts/IconButton.js';
import { Failed, Notice } from '../parts/Notice.js';
import { Sole } from '../parts/plan/Sole.js';
import { Page, PageEdge, Quiet } from '../parts/Text.js';
import { WithoutNetwork } from './offline/WithoutNetwork.js';
import { SessionRuns } from './SessionRuns.js';
import { Shortcuts } from './Shortcuts.js';
import { StartWalk } from './walk.js';
import { Walk } from './Walk.js';
import { useTheme } from './useTheme.js';
import { colour, MIDDLE, NARROW } from '../parts/tokens.js';
import { amountWords, say } from '../words/app.js';
import { listWords } from '../words/format.js';
import { faultWords } from '../words/fault.js';

const Bar = styled.header`
  display: flex;
  align-items: center;
  gap: 4px 26px;
  padding: 0 28px;
  min-height: 56px;
  border-bottom: 1px solid ${colour('rule')};
  nav {
    display: flex;
    gap: 22px;
    align-self: stretch;
  }
  nav a {
    display: flex;
    align-items: center;
    padding: 3px 2px 0;
    text-decoration: none;
    color: ${colour('quiet')};
    border-bottom: 3px solid transparent;
  }
  nav a.active {
    color: ${colour('ink')};
    font-weight: 700;
    border-bottom-color: ${colour('here')};
  }
  .end {
    margin-left: auto;
    display: flex;
    align-items: center;
    gap: 16px;
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .end a {
    white-space: nowrap;
  }
  @media (max-width: ${MIDDLE}) {
    gap: 4px 14px;
    padding: 0 16px;
    nav {
      gap: 13px;
    }
    .end {
      gap: 8px;
    }
    .club {
      display: none;
    }
  }
  @media (max-width: ${NARROW}) {
    flex-wrap: wrap;
    padding: 4px 12px 0;
    gap: 0 10px;
    /* Seven places and what is not sent yet do not fit beside each other. */
    nav {
      order: 1;
      flex: 1 0 100%;
      justify-content: space-between;
      gap: 4px;
      min-height: 42px;
      font-size: 15px;
    }
    .keys {
      display: none;
    }
    .end {
      gap: 4px;
      min-width: 0;
      font-size: 13px;
      text-align: right;
    }
    .name {
      position: absolute;
      clip-path: inset(50%);
    }
  }
`;

const Name = styled(NavLink)`
  display: flex;
  align-items: center;
  gap: 9px;
  font-weight: 750;
  font-size: 19px;
  text-decoration: none;
`;

const IconLink = styled(Link)`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: 36px;
  min-height: 44px;
`;

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

function SendingWords(): ReactElement {
  const { waiting, refusals, reachable, waitsFor } = useSending();
  if (waiting > 0 && waitsFor.length > 0)
    return <strong>{say('waitsForThem', { waiting, names: listWords(waitsFor) })}</strong>;
  if (waiting > 0)
    return (
      <strong>
        {say('waitingNotSentYetWhich', { waiting, which: reachable ? '' : say('keptHere') })}
      </strong>
    );
  if (refusals.length > 0)
    return <strong>{say('refusalsRefusedKeptHere', { refusals: refusals.length })}</strong>;
  return <Link to="/device">{say('allSent')}</Link>;
}

/** What the server would not take, with its reason: nobody should learn of it by chance. */
function Refusals(): ReactElement | null {
  const { refusals } = useSending();
  const [newest] = refusals.slice(-1);
  if (newest === undefined) return null;
  return (
    <PageEdge as="div" style={{ paddingBottom: 0 }}>
      <Notice>
        {say('refusalsCouldNotStoredServerWhich', {
          refusals: refusals.length,
          which: refusals.length === 1 ? 'is' : 'are',
          newest,
        })}
      </Notice>
    </PageEdge>
  );
}

/** This device's clock is off: said, because it is worth mending. */
function ClockOff(): ReactElement | null {
  const aheadMs = useSyncExternalStore(onServerClock, serverAheadMs);
  if (aheadMs === 0) return null;
  return (
    <PageEdge as="div" style={{ paddingBottom: 0 }}>
      <Notice>
        {say(aheadMs < 0 ? 'clockAhead' : 'clockBehind', {
          amount: amountWords(Math.abs(aheadMs)),
        })}
      </Notice>
    </PageEdge>
  );
}

const Differences = lazy(async () => ({
  default: (await import('./Differences.js')).Differences,
}));
const SignInPage = lazy(async () => ({
  default: (await import('./accounts/SignInPage.js')).SignInPage,
}));
const WelcomePage = lazy(async () => ({
  default: (await import('./welcome/WelcomePage.js')).WelcomePage,
}));

/** Whether a device before which no club is open is to be asked who it is, rather than which club. */
const mustSignIn = ({ signedIn, isThisMachine, hasOwned }: MeReply): boolean =>
  !signedIn && (hasOwned || !isThisMachine);

/** What is recorded on this device is whoever's is signed in on it, and is sent once they are. */
function useWhoRecords(me: MeReply | undefined): void {
  const outbox = useOutbox();
  const { accountId = null, name = '' } = me?.signedIn ?? {};
  const isKnown = me !== undefined;
  const isSignedIn = Boolean(me?.signedIn);
  // Without accounts whoever sits there records for the device.
  const isOpen = me !== undefined && me.open.length > 0;
  useEffect(() => {
    if (!isKnown) return;
    isIn(accountId === null ? null : { accountId, name }, isSignedIn || isOpen);
    void outbox.wake();
  }, [isKnown, isSignedIn, isOpen, accountId, name, outbox]);
}

/** The places, each under a request that whoever goes there sends first. */
const PLACES = [
  ['/plan', ROUTES.plans, say('plan')],
  ['/patterns', ROUTES.faultsLately, say('patterns')],
  ['/floor', ROUTES.drillSetup, say('floor')],
  ['/film', ROUTES.faultsLately, say('film')],
  ['/review', ROUTES.standings, say('review')],
  ['/ladder', ROUTES.ladder, say('ladder')],
] as const;

/** The shell round every place. */
export function Frame(): ReactElement {
  const me = useMe();
  const clubs = useClubs();
  const error = me.error ?? clubs.error;
  const [theme, toggleTheme] = useTheme();
  const [kept, open] = useRemembered<string | null>('club', null);
  const [stop, setStop] = useRemembered<number | null>('walk', null);
  const navigate = useNavigate();
  const startWalk = useCallback(() => {
    setStop(0);
    void navigate('/');
    // What is remembered is kept the same way whenever it is.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [navigate]);
  const differ = useNews(differing).length + useNews(overtaken).length > 0;
  const { pathname } = useLocation();
  const signedIn = me.data?.signedIn ?? null;
  useWhoRecords(me.data);
  const wanted = signedIn?.clubId ?? kept;
  const chosen = clubs.data?.find(({ clubId }) => clubId === wanted);
  // An address is opened in the first club on a device that has opened none. Where the one it opened is
  // gone it must not show another's people instead.
  const club = me.data && (chosen ?? (wanted === null ? clubs.data?.[0] : undefined));
  // Whoever must sign in or choose a club first finds that behind every place.
  const isOutside = !club && clubs.data !== undefined && me.data !== undefined;
  const role = signedIn?.role ?? 'owner';
  const name = signedIn?.accountId ? signedIn.name : null;
  const who = useMemo(() => ({ role, name }), [role, name]);
  const choice = useMemo(
    () => ({ clubId: chosen?.clubId ?? null, open }),
    // What opens a club does the same whichever it was.
    // oxlint-disable-next-line react/exhaustive-deps
    [chosen?.clubId],
  );
  return (
    <>
      <Skip href="#place">{say('content')}</Skip>
      <Bar className="no-print">
        <Name to="/">
          <svg width={26} height={30} viewBox="-0.62 -0.62 1.24 1.24" aria-hidden>
            <Sole foot="left" x={-0.27} y={0} headingDeg={-5} length={1} />
            <Sole foot="right" x={0.27} y={0} headingDeg={5} length={1} />
          </svg>
          <span className="name">{say('orthokin')}</span>
        </Name>
        {!isOutside && (
          <nav aria-label={say('places')}>
            <NavLink to="/" end>
              {say(role === 'athlete' ? 'yours' : 'squad')}
            </NavLink>
            {PLACES.filter(([, route]) => isFor(route, role)).map(([to, , name]) => (
              <NavLink key={to} to={to}>
                {name}
              </NavLink>
            ))}
          </nav>
        )}
        <div className="end">
          <SessionRuns />
          {club && (
            <Link
              className="club"
              to="/clubs"
              aria-label={say('clubChangeIt', { club: club.name })}
            >
              {club.name}
            </Link>
          )}
          <SendingWords />
          {club && (
            <IconLink to="/account" aria-label={say('whoComesIn')}>
              <UserRound size={20} aria-hidden />
            </IconLink>
          )}
          <span className="keys">
            <Shortcuts onWalk={startWalk} />
          </span>
          <IconButton
            onPress={toggleTheme}
            aria-label={theme === 'dark' ? say('lights') : say('lightsOff')}
          >
            {theme === 'dark' ? <Sun size={20} /> : <Moon size={20} />}
          </IconButton>
        </div>
      </Bar>
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
