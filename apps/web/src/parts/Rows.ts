import styled from 'styled-components';
import { colour, NARROW } from './tokens.js';

/** People and devices under each other, with what can be done about each at the end of its line. */
export const Rows = styled.ul`
  margin: 14px 0 0;
  padding: 0;
  list-style: none;
  max-width: 820px;
  border-top: 1px solid ${colour('rule')};
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 16px;
    padding: 10px 0;
    border-bottom: 1px solid ${colour('rule')};
  }
  li > :first-child {
    flex: 1 1 260px;
    min-width: 0;
  }
  small {
    display: block;
    font-size: 15px;
    color: ${colour('quiet')};
    overflow-wrap: anywhere;
  }
  @media (max-width: ${NARROW}) {
    li > :first-child {
      flex-basis: 100%;
    }
  }
`;
