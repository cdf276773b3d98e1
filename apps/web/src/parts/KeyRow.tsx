import styled from 'styled-components';
import { colour, MONO } from './tokens.js';

/** Things to say of a rep or a position, each a large button with its key. */
export const KeyRow = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  button {
    display: flex;
    align-items: center;
    gap: 9px;
    min-height: 56px;
    padding: 6px 16px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    background: none;
    color: ${colour('ink')};
    font: 600 17px inherit;
    font-family: inherit;
    cursor: pointer;
    touch-action: manipulation;
  }
  kbd {
    font: 450 14px ${MONO};
    color: ${colour('quiet')};
  }
`;
