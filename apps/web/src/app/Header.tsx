import type { ClubReply } from '@orthokin/contract';
import { isFor, ROUTES } from '@orthokin/contract/routes';
import type { Role } from '@orthokin/core/people';
import { Moon, Sun, UserRound } from 'lucide-react';
import type { ReactElement } from 'react';
import { Link, NavLink } from 'react-router';
import styled from 'styled-components';
import { useSending } from '../device/outbox-context.js';
import { IconButton } from '../parts/IconButton.js';
import { Sole } from '../parts/plan/Sole.js';
import { colour, MIDDLE, NARROW } from '../parts/tokens.js';
import { say } from '../words/app.js';
import { listWords } from '../words/format.js';
import { SessionRuns } from './SessionRuns.js';
import { Shortcuts } from './Shortcuts.js';
import { useTheme } from './useTheme.js';

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

/** The places, each with the first request it sends, which decides who may go there. */
const PLACES = [
  ['/plan', ROUTES.plans, say('plan')],
  ['/patterns', ROUTES.faultsLately, say('patterns')],
  ['/floor', ROUTES.drillSetup, say('floor')],
  ['/film', ROUTES.faultsLately, say('film')],
  ['/review', ROUTES.standings, say('review')],
  ['/ladder', ROUTES.ladder, say('ladder')],
] as const;

/** The header: places, club, unsent records, theme. */
export function Header({
  role,
  club,
  hasPlaces,
  startWalk,
}: {
  role: Role;
  club: ClubReply | undefined;
  /** Nobody who has to sign in or choose a club has any. */
  hasPlaces: boolean;
  startWalk: () => void;
}): ReactElement {
  const [theme, toggleTheme] = useTheme();
  return (
    <Bar className="no-print">
      <Name to="/">
        <svg width={26} height={30} viewBox="-0.62 -0.62 1.24 1.24" aria-hidden>
          <Sole foot="left" x={-0.27} y={0} headingDeg={-5} length={1} />
          <Sole foot="right" x={0.27} y={0} headingDeg={5} length={1} />
        </svg>
        <span className="name">{say('orthokin')}</span>
      </Name>
      {hasPlaces && (
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
          <Link className="club" to="/clubs" aria-label={say('clubChangeIt', { club: club.name })}>
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
  );
}
