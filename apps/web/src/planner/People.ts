import styled from 'styled-components';
import { colour } from '../parts/tokens.js';

/** A row of people, or of other things, to select. */
export const People = styled.div<{ $large?: boolean }>`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 8px 0;
  button {
    min-height: ${({ $large }) => ($large ? 56 : 44)}px;
    padding: 4px 14px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    background: none;
    color: ${colour('quiet')};
    font: 500 16px inherit;
    font-family: inherit;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: ${colour('ink')};
    background: ${colour('raised')};
    color: ${colour('ink')};
    font-weight: 650;
  }
  button:focus-visible {
    outline: 3px solid ${colour('focus')};
  }
`;
