import { isRoomCode, ROOM_LENGTH } from '@orthokin/contract/room';
import { useState, type ReactElement } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { Form, Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { allowSound } from '../sound/audio.js';
import { Button } from '../parts/Button.js';
import { Heading, Headline, Page, Quiet } from '../parts/Text.js';
import { colour, MONO } from '../parts/tokens.js';
import { JoinedBoard } from './session/JoinedBoard.js';
import { StationScreen } from './session/StationScreen.js';
import { StationsPanel } from './session/StationsPanel.js';
import { JoinedScreen } from './JoinedScreen.js';
import { say } from '../words/join.js';

const Ways = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 14px;
  margin: 10px 0 22px;
  button {
    min-height: 96px;
    flex-direction: column;
    white-space: normal;
    font-size: 20px;
  }
  small {
    font-size: 16px;
    font-weight: 450;
  }
`;

const CodeForm = styled(Form)`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  margin-top: 22px;
  input {
    width: 260px;
    padding: 10px 14px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    background: ${colour('raised')};
    color: ${colour('ink')};
    font: 700 34px ${MONO};
    letter-spacing: 0.08em;
    text-transform: uppercase;
  }
`;

const DRILL_ROLES = [
  ['cues', say('showCues'), say('largeAthleteSameMomentDrillsScreen')],
  ['caller', say('callTargets'), say('partnerSetWhoseOrderCalledPerson')],
  ['panel', say('coachsPanel'), say('timeHandPauseStrikeOutSay')],
  ['camera', say('filmIt'), say('filmItHow')],
] as const;
const SESSION_ROLES = [
  ['board', say('showBoard'), say('showBoardHow')],
  ['stations', say('panelOverAll'), say('panelOverAllHow')],
] as const;
const STATIONS = [1, 2, 3, 4, 5, 6] as const;

/** What a screen can be, besides being at a station. */
type ScreenRole = (typeof DRILL_ROLES)[number][0] | (typeof SESSION_ROLES)[number][0];
const ROLES: readonly ScreenRole[] = [...DRILL_ROLES, ...SESSION_ROLES].map(([name]) => name);

const stationRole = (n: number): string => `station-${n}`;

function AskCode({ given }: { given: string }): ReactElement {
  const navigate = useNavigate();
  const [code, setCode] = useState(given.toUpperCase());
  const [problem, setProblem] = useState<string | null>(
    given === '' ? null : say('givenNotCodeDrillsScreen', { given }),
  );
  return (
    <Page name={say('anotherScreen')}>
      <Headline>{say('joinDrill')}</Headline>
      <Quiet>{say('typeCodeDrillsScreenShowsUnder')}</Quiet>
      <CodeForm
        onSubmit={(event) => {
          event.preventDefault();
          const typed = code.trim().toUpperCase();
          if (isRoomCode(typed)) void navigate(`/join/${typed}`);
          else
            setProblem(
              say('typedGivenCodeHasRoomlengthLetters', {
                typed: typed || say('nothing'),
                ROOMLENGTH: ROOM_LENGTH,
              }),
            );
        }}
      >
        <TextField
          aria-label={say('code')}
          autoFocus
          autoComplete="off"
          spellCheck="false"
          maxLength={ROOM_LENGTH}
          value={code}
          onChange={setCode}
        >
          <Input autoCapitalize="characters" />
        </TextField>
        <Button weight="main" type="submit">
          {say('join')}
        </Button>
      </CodeForm>
      {problem && <p role="alert">{problem}</p>}
    </Page>
  );
}

/** A joined screen in its role. */
function As({ room, role }: { room: string; role: ScreenRole }): ReactElement {
  switch (role) {
    case 'board':
      return <JoinedBoard room={room} />;
    case 'stations':
      return <StationsPanel room={room} />;
    case 'cues':
    case 'caller':
    case 'panel':
    case 'camera':
      return <JoinedScreen room={room} role={role} />;
  }
}

/** Joins a drill or a session, by code and role. */
export function JoinPage(): ReactElement {
  const { code = '' } = useParams();
  const [params, setParams] = useSearchParams();
  // Browsers only allow sound after a press on this very page.
  const [pressed, setPressed] = useState(false);
  const as = params.get('as');
  const role = ROLES.find((name) => name === as);
  const station = STATIONS.find((n) => stationRole(n) === as);
  if (!isRoomCode(code)) return <AskCode key={code} given={code} />;
  const choose = async (name: string) => {
    await allowSound();
    setPressed(true);
    setParams({ as: name }, { replace: true });
  };
  // A station makes no sound itself, and must continue at once when its drill is over.
  if (station) return <StationScreen room={code} station={station} />;
  if (role && pressed) return <As room={code} role={role} />;
  const way = ([name, words, about]: readonly [name: string, words: string, about: string]) => (
    <Button key={name} weight={role === name ? 'main' : 'plain'} onPress={() => void choose(name)}>
      {words}
      <small>{about}</small>
    </Button>
  );
  return (
    <Page name={say('anotherScreen')}>
      <Headline>{say('codeWhatThisScreen', { code })}</Headline>
      <Heading style={{ marginTop: 18 }}>{say('ofDrill')}</Heading>
      <Ways>{DRILL_ROLES.map(way)}</Ways>
      <Heading>{say('ofSession')}</Heading>
      <Ways>
        {SESSION_ROLES.map(way)}
        {STATIONS.map((n) => way([stationRole(n), say('beStation', { n }), say('beStationHow')]))}
      </Ways>
    </Page>
  );
}
