import type { PatternReply, PersonReply, SquadLineReply } from '@orthokin/contract';
import { lengthWords } from '@orthokin/core/floor';
import { notesOf, POSITION_NAMES, type Pattern, type PositionName } from '@orthokin/core/pattern';
import { daysLater, overDays, spaceNeeded, weekAtHome } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { useClub } from '../../api/club.js';
import { usePattern } from '../../api/patterns.js';
import { useProgrammes } from '../../api/programmes.js';
import { useDrillSetup, useSquad } from '../../api/squad.js';
import { FloorPlan } from '../../parts/plan/FloorPlan.js';
import { ButtonLink } from '../../parts/Button.js';
import { Failed } from '../../parts/Notice.js';
import { PrintPage } from '../../parts/PrintPage.js';
import { Page, Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { faultWords } from '../../words/fault.js';
import { capital, dateWords, weekdayName } from '../../words/format.js';
import { say } from '../../words/home.js';
import { POSITION_WORDS } from '../../words/position.js';
import { themeWords } from '../../words/weeks.js';
import { OnAthlete } from '../OnAthlete.js';
import { OnPhone } from './OnPhone.js';
import { WriteDown } from './WriteDown.js';
import { today } from '../today.js';

const Sheet = styled.div`
  font-size: 15px;
  h2 {
    margin: 5mm 0 1mm;
    font-size: 18px;
  }
  p {
    margin: 1mm 0;
    max-width: 72ch;
  }
  .two {
    display: grid;
    grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr);
    gap: 8mm;
    align-items: start;
  }
  .two svg {
    width: 100%;
    max-height: 70mm;
  }
  .asks {
    columns: 2;
    column-gap: 8mm;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  .asks li {
    break-inside: avoid;
    padding-left: 20px;
    text-indent: -20px;
  }
  .asks li::before {
    content: '';
    display: inline-block;
    width: 11px;
    height: 11px;
    margin-right: 9px;
    border: 1.5px solid ${colour('ink')};
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th {
    text-align: left;
    font-weight: 500;
  }
  th,
  td {
    height: 8mm;
    border-bottom: 1px solid ${colour('rule')};
  }
  th:last-child {
    width: 50%;
  }
  @media (max-width: 640px) {
    .two {
      grid-template-columns: minmax(0, 1fr);
    }
    .asks {
      columns: 1;
    }
  }
`;

const DAYS = [0, 1, 2, 3, 4, 5, 6];

/** A sheet for practice without the coach: how much, what it needs, self-checks, and a log. */
export const HomeSheet = (): ReactElement => (
  <OnAthlete>{(person) => <OfLine person={person} />}</OnAthlete>
);

function OfLine({ person }: { person: PersonReply }) {
  const squad = useSquad();
  const line = squad.data?.find(({ athlete }) => athlete.id === person.id);
  if (line) return <OnPattern person={person} line={line} />;
  return (
    <Page name={say('sheet')}>
      {squad.error && !squad.data ? (
        <Failed error={squad.error} again={() => void squad.refetch()} />
      ) : (
        <Quiet>{squad.data ? say('noPattern', { name: person.name }) : say('reading')}</Quiet>
      )}
    </Page>
  );
}

function OnPattern({ person, line }: { person: PersonReply; line: SquadLineReply }) {
  const { data, error, refetch } = usePattern(line.patternId);
  if (data) return <Paper person={person} pattern={data} isRestricted={line.restricted} />;
  return (
    <Page name={say('sheet')}>
      {error ? (
        <Failed error={error} again={() => void refetch()} />
      ) : (
        <Quiet>{say('reading')}</Quiet>
      )}
    </Page>
  );
}

/** A position's check points over all legs, without duplicates. */
const checksOf = (pattern: Pattern, name: PositionName): string[] => [
  ...new Set(pattern.legs.flatMap((leg) => notesOf(pattern, leg, name).checkPoints)),
];

function Paper({
  person: { id, name, watched },
  pattern,
  isRestricted,
}: {
  person: PersonReply;
  pattern: PatternReply;
  isRestricted: boolean;
}) {
  // Loaded in advance: there may be no network where the drill will be run.
  useDrillSetup(id, null);
  const { unit, faults: own } = useClub();
  const { data: programmes = [] } = useProgrammes();
  const watchedNow = watched ?? [];
  const week = weekAtHome(programmes, id, today());
  const { acrossM, deepM } = spaceNeeded(pattern);
  const asks = POSITION_NAMES.flatMap((position) =>
    checksOf(pattern, position).map((check) => `${POSITION_WORDS[position]}: ${check}`),
  );
  const { days, minutes } = overDays(week?.homeMinutes ?? 0);
  return (
    <PrintPage
      name={say('sheetOf', { name })}
      back={`/people/${id}`}
      backWords={say('back', { name })}
      ways={<ButtonLink to={`/floor/${id}`}>{say('runHere')}</ButtonLink>}
      before={
        <WriteDown
          athleteId={id}
          asks={asks}
          wanted={week?.homeMinutes ?? null}
          usual={minutes > 0 ? minutes : USUAL_MINUTES}
        />
      }
    >
      <h1>{say('sheetOf', { name })}</h1>
      <Quiet>{pattern.name}</Quiet>
      <Sheet>
        {week && (
          <p>
            {say('weekIs', {
              ...{ day: dateWords(week.monday), theme: themeWords(week.theme), note: week.note },
            })}
          </p>
        )}
        <p>
          <b>
            {week
              ? say('howMuch', { minutes: week.homeMinutes, days, each: minutes })
              : say('usualMuch')}
          </b>
        </p>
        <p>
          {say('care')} {isRestricted && <b>{say('returning')}</b>}
        </p>
        <div className="two">
          <div>
            <h2>{say('needs')}</h2>
            <p>
              {say('space', {
                ...{ across: lengthWords(acrossM, unit), deep: lengthWords(deepM, unit) },
              })}
            </p>
            <p>{say('markers', { count: pattern.targets.length })}</p>
            <p>{say('alone')}</p>
            <p>{say('partner')}</p>
            {watchedNow.length > 0 && <h2>{say('watchFor')}</h2>}
            {watchedNow.map((fault) => {
              const words = faultWords(fault, own);
              return (
                <p key={fault}>
                  {say('sayAndMend', {
                    ...{ fault: capital(words.name), say: words.say, mend: words.mend },
                  })}
                </p>
              );
            })}
          </div>
          <FloorPlan pattern={pattern} label={pattern.name} />
        </div>
        <h2>{say('asks')}</h2>
        <ul className="asks">
          {asks.map((ask) => (
            <li key={ask}>{ask}</li>
          ))}
        </ul>
        <h2>{say('done')}</h2>
        <table>
          <thead>
            <tr>
              <th scope="col">{say('day')}</th>
              <th scope="col">{say('minutes')}</th>
              <th scope="col">{say('hard')}</th>
              <th scope="col">{say('noticed')}</th>
            </tr>
          </thead>
          <tbody>
            {DAYS.map((after) => (
              <tr key={after}>
                <th scope="row">{weekdayName(daysLater(week?.monday ?? A_MONDAY, after))}</th>
                <td />
                <td />
                <td />
              </tr>
            ))}
          </tbody>
        </table>
        <OnPhone person={{ id, name }} />
      </Sheet>
    </PrintPage>
  );
}

/** Minutes per practice if no programme says otherwise. */
const USUAL_MINUTES = 10;
const A_MONDAY = '2026-03-02';
