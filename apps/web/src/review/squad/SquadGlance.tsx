import type { StandingReply } from '@orthokin/contract';
import { ArrowDown, ArrowUp, Printer } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useStandings } from '../../api/squad.js';
import { useGroupFilter } from '../../api/useGroupFilter.js';
import { Button, ButtonLink } from '../../parts/Button.js';
import { Explained } from '../../parts/explained/Explained.js';
import { RungMeter } from '../../parts/RungMeter.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Failed } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, FONT } from '../../parts/tokens.js';
import { FiguresTable } from '../../parts/FiguresTable.js';
import {
  changeCell,
  heldCell,
  lastTimedCell,
  sidesCell,
  isNeverTimed,
  squadSentences,
} from '../../words/glance.js';
import { say } from '../../words/review.js';
import type { Quantity } from '../../words/quantity.js';

const Sort = styled.button`
  display: inline-flex;
  align-items: center;
  gap: 4px;
  min-height: 40px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: 450 16px ${FONT};
  cursor: pointer;
`;

const Cells = styled.div`
  margin-top: 22px;
  td.words,
  th.words {
    min-width: 15ch;
    font-family: inherit;
    text-align: left;
    white-space: normal;
  }
  td.stands-out a {
    font-weight: 700;
    color: ${colour('ink')};
  }
  tbody th {
    color: ${colour('ink')};
  }
`;

/** Sort keys by column; the smallest comes first. */
const COLUMNS = {
  athlete: (line: StandingReply) => line.athlete.name,
  rung: ({ rung, rungs }: StandingReply) => rung / rungs,
  'is it better? cycle': ({ standing: { change } }: StandingReply) =>
    change ? change.changeMs / change.beforeMs : 1,
  'held back by': ({ held }: StandingReply) => held?.passShare ?? 1,
  sides: ({ standing }: StandingReply) => -Math.abs(standing.lean?.percent ?? 0),
  'last timed': ({ standing }: StandingReply) => standing.lastTimedMs ?? 0,
} as const;
type Column = keyof typeof COLUMNS;

/** Explanations of the columns, whose heads are buttons for sorting. */
const COLUMNS_TOLD = [
  ['rung', 'rung'],
  ['change', 'is it better?'],
  ['heldBy', 'held back by'],
  ['sides', 'sides'],
] as const satisfies readonly (readonly [Quantity, Column | 'is it better?'])[];

function sorted(lines: readonly StandingReply[], by: Column, up: boolean): StandingReply[] {
  const value = COLUMNS[by];
  return [...lines].sort((a, b) => {
    const [x, y] = [value(a), value(b)];
    const order = x < y ? -1 : x > y ? 1 : 0;
    return (up ? order : -order) || a.athlete.name.localeCompare(b.athlete.name);
  });
}

/** The squad on one page: who improved, who is stuck and on what, whose sides differ, who was not timed lately. */
export function SquadGlance(): ReactElement {
  const standings = useStandings();
  const groups = useGroupFilter();
  const [by, setBy] = useState<Column>('athlete');
  const [up, setUp] = useState(true);
  if (standings.error && !standings.data)
    return (
      <Page name={say('review')}>
        <Failed error={standings.error} again={() => void standings.refetch()} />
      </Page>
    );
  if (!standings.data)
    return (
      <Page name={say('review')}>
        <Quiet>{say('readingSquadsWeeks')}</Quiet>
      </Page>
    );
  const lines = groups.of(standings.data, ({ athlete }) => athlete.id);
  const [headline, ...rest] = squadSentences(lines);
  const choose = (column: Column) => {
    setUp(column === by ? !up : true);
    setBy(column);
  };
  return (
    <Page name={say('review')}>
      <Headline>
        {groups.group && say('ofGroup', { group: groups.group.name })}
        {headline}
      </Headline>
      {rest.map((sentence) => (
        <p key={sentence} style={{ margin: '8px 0 0', maxWidth: '84ch' }}>
          {sentence}
        </p>
      ))}
      <p className="no-print" style={{ display: 'flex', flexWrap: 'wrap', gap: 10 }}>
        {lines.every(isNeverTimed) && (
          <ButtonLink to="/floor" $weight="main">
            {say('startOneFloor')}
          </ButtonLink>
        )}
        <ButtonLink to="/review/sets">{say('newestSets')}</ButtonLink>
        <ButtonLink to="/review/compare">{say('twoThingsSideSide')}</ButtonLink>
        <ButtonLink to="/review/data">{say('filesOut')}</ButtonLink>
        <Button onPress={() => window.print()}>
          <Printer size={18} aria-hidden /> {say('printThisPage')}
        </Button>
      </p>
      {groups.field && (
        <div className="no-print" style={{ maxWidth: 260 }}>
          <SelectField {...groups.field} />
        </div>
      )}
      {lines.length > 0 && (
        <Cells>
          <FiguresTable caption={say('lastTwelveWeeksEveryCellOpens')}>
            <thead>
              <tr>
                {(Object.keys(COLUMNS) as Column[]).map((column) => (
                  <th
                    key={column}
                    scope="col"
                    className="words"
                    aria-sort={column === by ? (up ? 'ascending' : 'descending') : 'none'}
                  >
                    <Sort type="button" onClick={() => choose(column)}>
                      {column}
                      {column === by &&
                        (up ? (
                          <ArrowUp size={16} aria-hidden />
                        ) : (
                          <ArrowDown size={16} aria-hidden />
                        ))}
                    </Sort>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {sorted(lines, by, up).map((line) => (
                <Row key={line.athlete.id} line={line} />
              ))}
            </tbody>
          </FiguresTable>
        </Cells>
      )}
      <Quiet style={{ marginTop: 12, fontSize: 16, maxWidth: '84ch' }}>
        {say('eachAthleteHeldAgainstThemselvesDay')}{' '}
        {COLUMNS_TOLD.map(([what, words]) => (
          <span key={what}>
            {' · '}
            <Explained what={what}>{words}</Explained>
          </span>
        ))}
      </Quiet>
    </Page>
  );
}

function Row({ line }: { line: StandingReply }): ReactElement {
  const { athlete, standing, claims, lastSet } = line;
  const page = `/review/athletes/${athlete.id}`;
  return (
    <tr>
      <th scope="row">
        <Link to={page}>{athlete.name}</Link>
      </th>
      <td className="words">
        {line.patternName}
        <br />
        <RungMeter rung={line.rung} of={line.rungs} /> {say('rungRung', { rung: line.rung })}
      </td>
      <td className={`words${claims.change ? ' stands-out' : ''}`}>
        {standing.change && standing.beforeSetId && standing.afterSetId ? (
          <Link
            to={`/review/compare?a=${standing.beforeSetId}&b=${standing.afterSetId}&duration=${standing.duration}`}
          >
            {changeCell(line)}
          </Link>
        ) : (
          <Link to={page}>{changeCell(line)}</Link>
        )}
      </td>
      <td className={`words${claims.isStuck ? ' stands-out' : ''}`}>
        <Link to={`/ladder/${line.patternId}/${athlete.id}`}>{heldCell(line)}</Link>
      </td>
      <td className={`words${claims.isNewLean ? ' stands-out' : ''}`}>
        <Link to={`${page}#closer`}>{sidesCell(line)}</Link>
      </td>
      <td className="words">
        {lastSet ? (
          <Link to={`/review/${lastSet.id}`}>{lastTimedCell(line)}</Link>
        ) : (
          lastTimedCell(line)
        )}
      </td>
    </tr>
  );
}
