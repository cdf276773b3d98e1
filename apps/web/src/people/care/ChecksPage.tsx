import type { CareReply, PersonReply } from '@orthokin/contract';
import {
  ALL_NEEDS,
  needKey,
  newestLooks,
  READINESS_RESULTS,
  type Looked,
  type Need,
} from '@orthokin/core/people';
import type { ReactElement } from 'react';
import { RadioButton, RadioField } from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { BigChoices } from '../../parts/form/BigChoices.js';
import { ButtonLink } from '../../parts/Button.js';
import { Notice } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, NARROW } from '../../parts/tokens.js';
import { checkWords, RESULT_WORDS } from '../../words/care.js';
import { longDay } from '../../words/format.js';
import { say } from '../../words/people.js';
import { OnAthlete } from '../OnAthlete.js';
import { today } from '../today.js';
import { CheckDrawing } from './CheckDrawing.js';
import { useSaying } from './useSaying.js';

const List = styled.ol`
  margin: 20px 0 24px;
  padding: 0;
  list-style: none;
  border-top: 1px solid ${colour('rule')};
`;

const Line = styled.li`
  display: grid;
  grid-template-columns: 150px minmax(260px, 1fr) auto;
  align-items: center;
  gap: 10px 28px;
  padding: 14px 0;
  border-bottom: 1px solid ${colour('rule')};
  h2 {
    margin: 0 0 4px;
    font-size: 19px;
  }
  p {
    margin: 0 0 4px;
    max-width: 58ch;
  }
  @media (max-width: ${NARROW}) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Results = styled(BigChoices)`
  display: grid;
  grid-template-columns: repeat(4, auto);
  gap: 8px;
  .react-aria-RadioButton {
    min-width: 92px;
  }
  @media (max-width: ${NARROW}) {
    grid-template-columns: repeat(2, 1fr);
  }
`;

/** Readiness checks for the parts of a pattern, each done in a minute or two. */
export const ChecksPage = (): ReactElement => (
  <OnAthlete>{(person, { said }) => <Checks person={person} said={said} />}</OnAthlete>
);

function Checks({ person, said }: { person: PersonReply; said: readonly CareReply[] }) {
  const { id: athleteId } = person;
  const saying = useSaying(athleteId);
  const newest = newestLooks(said.flatMap(({ check }) => check ?? []));
  const open = ALL_NEEDS.filter((need) => !newest.has(needKey(need))).length;
  return (
    <Page name={say('checksOf', { name: person.name })}>
      <Quiet>
        <Link to={`/people/${athleteId}`}>{person.name}</Link>
      </Quiet>
      <Headline style={{ marginTop: 4 }}>
        {open === 0
          ? say('allLookedAt', { name: person.name })
          : say('toLookAt', { name: person.name, count: open })}
      </Headline>
      <Quiet style={{ marginTop: 8, maxWidth: '64ch' }}>{say('checksMean')}</Quiet>
      {saying.error && <Notice>{saying.error.message}</Notice>}
      <List>
        {ALL_NEEDS.map((need) => (
          <Check
            key={needKey(need)}
            need={need}
            look={newest.get(needKey(need)) ?? null}
            by={byOf(said, newest.get(needKey(need)))}
            onResult={(result) =>
              saying.write({ kind: 'check', check: { ...need, result, day: today() } })
            }
          />
        ))}
      </List>
      <ButtonLink to={`/floor/${athleteId}`}>{say('toTheFloor')}</ButtonLink>
    </Page>
  );
}

const byOf = (said: readonly CareReply[], look: Looked | undefined): string =>
  said.find(({ check }) => check === look)?.by ?? '';

function Check({
  need,
  look,
  by,
  onResult,
}: {
  need: Need;
  look: Looked | null;
  by: string;
  onResult: (result: Looked['result']) => void;
}) {
  const { title, how, look: lookFor } = checkWords(need);
  return (
    <Line>
      <CheckDrawing {...need} />
      <div>
        <h2>{title}</h2>
        <p>{how}</p>
        <p>{say('lookFor', { what: lookFor })}</p>
        <Quiet>{look ? say('lookedOn', { day: longDay(look.day), by }) : say('neverLooked')}</Quiet>
      </div>
      <Results
        aria-label={title}
        orientation="horizontal"
        value={look?.result ?? null}
        onChange={(chosen) => {
          const result = READINESS_RESULTS.find((one) => one === chosen);
          if (result) onResult(result);
        }}
      >
        {READINESS_RESULTS.map((result) => (
          <RadioField key={result} value={result}>
            <RadioButton>{RESULT_WORDS[result]}</RadioButton>
          </RadioField>
        ))}
      </Results>
    </Line>
  );
}
