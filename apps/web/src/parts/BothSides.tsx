import { useId, type ReactElement } from 'react';
import styled from 'styled-components';
import { say } from '../words/parts.js';
import { Button } from './Button.js';
import { Heading } from './Text.js';
import { colour, NARROW } from './tokens.js';

/** Something two people entered differently. */
export interface Otherwise {
  readonly what: string;
  readonly mine: string;
  readonly theirs: string;
}

const Box = styled.section`
  margin: 14px 0 22px;
  padding: 16px;
  border: 1.5px solid ${colour('rule')};
  border-left: 5px solid ${colour('bad')};
  background: ${colour('raised')};
  table {
    width: 100%;
    margin: 12px 0 16px;
    table-layout: fixed;
    border-collapse: collapse;
  }
  th,
  td {
    padding: 8px 12px 8px 0;
    border-top: 1px solid ${colour('rule')};
    text-align: start;
    vertical-align: top;
    overflow-wrap: anywhere;
  }
  thead th,
  thead td {
    border-top: 0;
  }
  thead td {
    width: 26%;
  }
  tbody th {
    font-weight: 450;
    color: ${colour('quiet')};
  }
  @media (max-width: ${NARROW}) {
    th,
    td {
      padding-right: 8px;
      font-size: 15px;
    }
  }
`;

const Ways = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
`;

/** Two people's entries side by side, for whoever saved second to choose; nothing is lost before. */
export function BothSides({
  title,
  rows,
  isPending = false,
  onMine,
  onTheirs,
}: {
  title: string;
  rows: readonly Otherwise[];
  isPending?: boolean;
  onMine: () => void;
  onTheirs: () => void;
}): ReactElement {
  const id = useId();
  return (
    <Box aria-labelledby={id}>
      <Heading id={id}>{title}</Heading>
      <table>
        <thead>
          <tr>
            <td />
            <th scope="col">{say('yours')}</th>
            <th scope="col">{say('theirs')}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ what, mine, theirs }) => (
            <tr key={what}>
              <th scope="row">{what}</th>
              <td>{mine}</td>
              <td>{theirs}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <Ways>
        <Button isDisabled={isPending} onPress={onMine}>
          {say('keepYours')}
        </Button>
        <Button isDisabled={isPending} onPress={onTheirs}>
          {say('keepTheirs')}
        </Button>
      </Ways>
    </Box>
  );
}
