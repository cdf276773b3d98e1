import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { useClub, useWipeClub } from '../../api/club.js';
import { Button, ButtonAnchor } from '../../parts/Button.js';
import { BringClub } from './BringClub.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { TextField } from '../../parts/form/TextField.js';
import { ImportReps } from './ImportReps.js';

const Part = styled.section`
  margin-top: 30px;
  max-width: 980px;
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    margin: 10px 0;
  }
  p {
    max-width: 76ch;
  }
`;

const OUT = [
  ['club.zip', 'The whole club, to keep or take along'],
  ['reps.csv', 'Every rep as a table'],
  ['sets.csv', 'Every set as a table'],
] as const;

/** What leaves the club as files, and what comes in by them. */
export function FilesPage(): ReactElement {
  const { clubId } = useClub();
  return (
    <Page name="Files in and out">
      <Headline>Files in and out</Headline>
      <Part aria-label="Out">
        <Heading>Out</Heading>
        <div className="ways">
          {OUT.map(([file, words]) => (
            <ButtonAnchor key={file} href={`/api/clubs/${clubId}/${file}`} download>
              {words}
            </ButtonAnchor>
          ))}
        </div>
        <Quiet>
          What the columns mean: <a href="/api/reps-dictionary.csv">of reps</a>,{' '}
          <a href="/api/sets-dictionary.csv">of sets</a>. The files hold names and times of people:
          keep them as you would keep the people’s trust.
        </Quiet>
      </Part>
      <Part aria-label="Reps timed elsewhere">
        <ImportReps />
      </Part>
      <Part aria-label="A whole club">
        <Heading>Bring a club in</Heading>
        <BringClub />
      </Part>
      <Part aria-label="Wipe">
        <WipeClub />
      </Part>
    </Page>
  );
}

/** Takes everything away; the one thing here that cannot be undone, so it asks for the name. */
function WipeClub(): ReactElement {
  const { name } = useClub();
  const wipe = useWipeClub();
  const [typed, setTyped] = useState('');
  return (
    <>
      <Heading>Wipe this club</Heading>
      <p>
        Every athlete, pattern, set and rep of {name} is taken off the server and cannot be brought
        back, except from a file taken out before. What this device has not sent yet is lost with
        it.
      </p>
      <div style={{ maxWidth: 340, display: 'grid', gap: 10 }}>
        <TextField
          label={`Type “${name}” to wipe it`}
          value={typed}
          onChange={setTyped}
          maxLength={120}
        />
        <Button isDisabled={typed !== name || wipe.isPending} onPress={() => wipe.mutate(typed)}>
          Wipe {name} for good
        </Button>
      </div>
      {wipe.error && <Notice>{wipe.error.message}</Notice>}
    </>
  );
}
