import type { ReactElement, ReactNode } from 'react';
import styled, { css } from 'styled-components';
import { colour, MONO } from './tokens.js';

const Scroll = styled.div`
  overflow-x: auto;
`;

const Table = styled.table`
  border-collapse: collapse;
  width: 100%;
  font-size: 16px;
  white-space: nowrap;
  caption {
    padding: 0 0 6px;
    font-weight: 650;
    text-align: left;
  }
  th {
    font-weight: 450;
    text-align: right;
    color: ${colour('quiet')};
  }
  th:first-child {
    text-align: left;
    padding-left: 0;
  }
  td,
  th {
    padding: 7px 0 7px 16px;
    border-bottom: 1px solid ${colour('rule')};
    vertical-align: top;
  }
  td {
    font-family: ${MONO};
    text-align: right;
  }
`;

const inWords = css`
  && {
    font-family: inherit;
    text-align: left;
    white-space: normal;
    min-width: 14ch;
    &:first-child {
      padding-left: 0;
    }
  }
`;

/** A cell of words among the figures, and its head. */
export const WordsCell = styled.td`
  ${inWords}
`;
export const WordsHead = styled.th`
  ${inWords}
`;

/** A table of figures; if it is wider than its place it scrolls, also by keyboard. */
export const FiguresTable = ({
  caption,
  children,
}: {
  caption: string;
  children: ReactNode;
}): ReactElement => (
  <Scroll tabIndex={0} role="region" aria-label={caption}>
    <Table>
      <caption>{caption}</caption>
      {children}
    </Table>
  </Scroll>
);
