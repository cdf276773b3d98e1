import type { RosterPerson } from '@orthokin/core/formats';
import type { ReactElement } from 'react';
import {
  Cell,
  CheckboxButton,
  CheckboxField,
  Column,
  Row,
  Table,
  TableBody,
  TableHeader,
  TableLayout,
  Virtualizer,
  type Selection,
} from 'react-aria-components';
import styled from 'styled-components';
import { useClub } from '../../api/club.js';
import { lengthWords } from '@orthokin/core/floor';
import { colour } from '../../parts/tokens.js';
import { longDay } from '../../words/format.js';
import { say, SIDE_WORDS } from '../../words/people.js';

const ROW_HEIGHT = 40;
const MOST_HEIGHT = 440;

const Box = styled.div`
  max-width: 1100px;
  overflow: auto;
  border-block: 1px solid ${colour('rule')};
  .react-aria-Table {
    min-width: 860px;
    overflow: auto;
    outline: none;
  }
  .react-aria-Column,
  .react-aria-Cell {
    display: flex;
    align-items: center;
    padding: 4px 8px;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
    outline: none;
  }
  .react-aria-Column {
    font-size: 15px;
    color: ${colour('quiet')};
    background: ${colour('paper')};
  }
  .react-aria-Row {
    outline: none;
    border-bottom: 1px solid ${colour('rule')};
  }
  .react-aria-Row[data-focus-visible],
  .react-aria-Cell[data-focus-visible] {
    outline: 3px solid ${colour('focus')};
    outline-offset: -3px;
  }
  .react-aria-CheckboxButton::before {
    content: '';
    display: grid;
    place-items: center;
    width: 22px;
    height: 22px;
    border: 1.5px solid ${colour('ink')};
    border-radius: 3px;
  }
  .react-aria-CheckboxButton[data-selected]::before {
    content: '✓';
    font-weight: 800;
    background: ${colour('accent')};
    color: ${colour('onAccent')};
  }
`;

/** Previews a table's athletes row by row; ticked ones will be added. */
export function RosterTable({
  people,
  isIn,
  onChange,
}: {
  people: readonly RosterPerson[];
  isIn: (person: RosterPerson) => boolean;
  onChange: (rows: ReadonlySet<number>) => void;
}): ReactElement {
  const { unit } = useClub();
  // Rows that need attention come first.
  const shown = [...people].sort(
    (a, b) => Number(b.double !== null) - Number(a.double !== null) || a.row - b.row,
  );
  const selected = people.filter(isIn).map(({ row }) => row);
  const choose = (chosen: Selection) =>
    onChange(
      new Set(
        chosen === 'all' ? people.map(({ row }) => row) : [...chosen].map((key) => Number(key)),
      ),
    );
  const length = (metres: number | null) => (metres === null ? '' : lengthWords(metres, unit));
  return (
    <Box style={{ height: Math.min(MOST_HEIGHT, (people.length + 1) * ROW_HEIGHT + 4) }}>
      <Virtualizer
        layout={TableLayout}
        layoutOptions={{ rowHeight: ROW_HEIGHT, headingHeight: ROW_HEIGHT }}
      >
        <Table
          aria-label={say('peopleOfTable')}
          selectionMode="multiple"
          selectedKeys={new Set(selected)}
          onSelectionChange={choose}
          style={{ height: Math.min(MOST_HEIGHT, (people.length + 1) * ROW_HEIGHT + 2) }}
        >
          <TableHeader>
            <Column width={46}>
              <CheckboxField slot="selection">
                <CheckboxButton />
              </CheckboxField>
            </Column>
            <Column width={56}>{say('row')}</Column>
            <Column isRowHeader defaultWidth="2fr">
              {say('name')}
            </Column>
            <Column defaultWidth="1.2fr">{say('bornOn')}</Column>
            <Column width={116}>{say('hand')}</Column>
            <Column width={90}>{say('height')}</Column>
            <Column defaultWidth="1fr">{say('squadColumn')}</Column>
            <Column defaultWidth="1.6fr">{say('remark')}</Column>
          </TableHeader>
          <TableBody items={shown}>
            {(person) => (
              <Row id={person.row} textValue={person.name}>
                <Cell>
                  <CheckboxField slot="selection">
                    <CheckboxButton />
                  </CheckboxField>
                </Cell>
                <Cell>{person.row}</Cell>
                <Cell>{person.name}</Cell>
                <Cell>{person.bornOn === null ? person.ageBand : longDay(person.bornOn)}</Cell>
                <Cell>{SIDE_WORDS[person.hand]}</Cell>
                <Cell>{length(person.heightM)}</Cell>
                <Cell>{person.squad ?? ''}</Cell>
                <Cell>
                  {person.double === null
                    ? ''
                    : say(person.double === 'in the club' ? 'doubleInClub' : 'doubleInTable')}
                </Cell>
              </Row>
            )}
          </TableBody>
        </Table>
      </Virtualizer>
    </Box>
  );
}
