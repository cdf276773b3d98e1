import type { StandingReply } from '@orthokin/contract';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useStandings } from '../../api/squad.js';
import { ButtonLink } from '../../parts/Button.js';
import { RungMeter } from '../../parts/RungMeter.js';
import { Failed } from '../../parts/Notice.js';
import { Headline, Page, Quiet } from '../../parts/Text.js';
import { colour, FONT } from '../../parts/tokens.js';
import { FiguresTable } from '../../parts/FiguresTable.js';
import {
  changeCell,
  heldCell,
  lastTimedCell,
  sidesCell,
  squadSentences,
} from '../../words/squad.js';

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
    min-width: 17ch;
  }
  td.stands-out a {
    font-weight: 700;
    color: ${colour('ink')};
  }
  tbody th {
    color: ${colour('ink')};
  }
`;

/** What a column is sorted by; the least first. */
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

function sorted(lines: readonly StandingReply[], by: Column, up: boolean): StandingReply[] {
  const value = COLUMNS[by];
  return [...lines].sort((a, b) => {
    const [x, y] = [value(a), value(b)];
    const order = x < y ? -1 : x > y ? 1 : 0;
    return (up ? order : -order) || a.athlete.name.localeCompare(b.athlete.name);
  });
}

/** The whole squad on one page: who improved, who is stuck and on what, who leans, who is missing. */
export function SquadGlance(): ReactElement {
  const standings = useStandings();
  const [by, setBy] = useState<Column>('athlete');
  const [up, setUp] = useState(true);
  if (standings.error && !standings.data)
    return (
      <Page name="Review">
        <Failed error={standings.error} again={() => void standings.refetch()} />
      </Page>
    );
  if (!standings.data)
    return (
      <Page name="Review">
        <Quiet>Reading the squad’s weeks…</Quiet>
      </Page>
    );
  const lines = standings.data;
  const [headline, ...rest] = squadSentences(lines);
  const choose = (column: Column) => {
    setUp(column === by ? !up : true);
    setBy(column);
  };
  return (
    <Page name="Review">
      <Headline>{headline}</Headline>
      {rest.map((sentence) => (
        <p key={sentence} style={{ margin: '8px 0 0', maxWidth: '84ch' }}>
          {sentence}
        </p>
      ))}
      <p className="no-print" style={{ display: 'flex', flexWrap: 'wrap', gap: 10 }}>
        <ButtonLink to="/review/sets">Newest sets</ButtonLink>
        <ButtonLink to="/review/compare">Two things side by side</ButtonLink>
        <ButtonLink to="/review/data">Files in and out</ButtonLink>
      </p>
      {lines.length > 0 && (
        <Cells>
          <FiguresTable caption="The last twelve weeks; every cell opens what it rests on">
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
        Each athlete is held against themselves, day against day, on the same pattern version, rung,
        timing and kind of cue. Of a squad in which nothing changed, nineteen pages in twenty say
        nothing: what might be chance among so many athletes is called not clear.
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
        <RungMeter rung={line.rung} of={line.rungs} /> rung {line.rung}
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
