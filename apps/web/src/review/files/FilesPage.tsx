import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { useClub, useWipeClub } from '../../api/club.js';
import { Button, ButtonAnchor } from '../../parts/Button.js';
import { BringClub } from './BringClub.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { TextField } from '../../parts/form/TextField.js';
import { ImportReps } from './ImportReps.js';
import { Unreadable } from './Unreadable.js';
import { say } from '../../words/review.js';

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
  ['club.zip', say('wholeClubKeepTakeAlong')],
  ['reps.csv', say('everyRepTable')],
  ['sets.csv', say('everySetTable')],
  ['athletes.csv', say('everyAthleteTable')],
] as const;

/** What leaves the club as files, and what comes in by them. */
export function FilesPage(): ReactElement {
  const { clubId } = useClub();
  return (
    <Page name={say('filesOut')}>
      <Headline>{say('filesOut')}</Headline>
      <Part aria-label={say('out')}>
        <Heading>{say('out')}</Heading>
        <div className="ways">
          {OUT.map(([file, words]) => (
            <ButtonAnchor key={file} href={`/api/clubs/${clubId}/${file}`} download>
              {words}
            </ButtonAnchor>
          ))}
        </div>
        <Quiet>
          {say('whatColumnsMean')} <a href="/api/reps-dictionary.csv">{say('reps')}</a>,{' '}
          <a href="/api/sets-dictionary.csv">{say('sets3')}</a>
          {say('filesHoldNamesTimesPeopleKeep')}
        </Quiet>
      </Part>
      <Unreadable />
      <Part aria-label={say('repsTimedElsewhere')}>
        <ImportReps />
      </Part>
      <Part aria-label={say('wholeClub')}>
        <Heading>{say('bringClub')}</Heading>
        <BringClub />
      </Part>
      <Part aria-label={say('wipe')}>
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
      <Heading>{say('wipeThisClub')}</Heading>
      <p>{say('everyAthletePatternSetRepName', { name })}</p>
      <div style={{ maxWidth: 340, display: 'grid', gap: 10 }}>
        <TextField
          label={say('typeNameWipe', { name })}
          value={typed}
          onChange={setTyped}
          maxLength={120}
        />
        <Button isDisabled={typed !== name || wipe.isPending} onPress={() => wipe.mutate(typed)}>
          {say('wipeNameGood', { name })}
        </Button>
      </div>
      {wipe.error && <Notice>{wipe.error.message}</Notice>}
    </>
  );
}
