import { isRoomCode, ROOM_LENGTH } from '@orthokin/contract/room';
import { useState, type ReactElement } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { Form, Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { allowSound } from '../sound/audio.js';
import { Button } from '../parts/Button.js';
import { Headline, Page, Quiet } from '../parts/Text.js';
import { colour, MONO } from '../parts/tokens.js';
import { JoinedScreen } from './JoinedScreen.js';
import { say } from '../words/join.js';

const Ways = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 14px;
  margin-top: 22px;
  button {
    min-height: 110px;
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

const ROLES = [
  ['cues', say('showCues'), say('largeAthleteSameMomentDrillsScreen')],
  ['caller', say('callTargets'), say('partnerSetWhoseOrderCalledPerson')],
  ['panel', say('coachsPanel'), say('timeHandPauseStrikeOutSay')],
  ['camera', say('filmIt'), say('filmItHow')],
] as const;
type JoinRole = (typeof ROLES)[number][0];

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

/** Another screen joins a drill: by its code, as what. */
export function JoinPage(): ReactElement {
  const { code = '' } = useParams();
  const [params, setParams] = useSearchParams();
  // Sound needs a press on this very page: an address alone does not start it.
  const [pressed, setPressed] = useState(false);
  const role = ROLES.find(([name]) => name === params.get('as'))?.[0];
  if (!isRoomCode(code)) return <AskCode key={code} given={code} />;
  const choose = async (name: JoinRole) => {
    await allowSound();
    setPressed(true);
    setParams({ as: name }, { replace: true });
  };
  if (role && pressed) return <JoinedScreen room={code} role={role} />;
  return (
    <Page name={say('anotherScreen')}>
      <Headline>{say('codeWhatThisScreen', { code })}</Headline>
      <Ways>
        {ROLES.map(([name, words, about]) => (
          <Button
            key={name}
            weight={role === name ? 'main' : 'plain'}
            onPress={() => void choose(name)}
          >
            {words}
            <small>{about}</small>
          </Button>
        ))}
      </Ways>
    </Page>
  );
}
