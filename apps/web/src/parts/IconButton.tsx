import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from './tokens.js';

/** A round button that shows a sign; its words are in `aria-label`. */
export const IconButton = styled(Button)`
  display: grid;
  place-items: center;
  width: 40px;
  height: 40px;
  border: 0;
  border-radius: 50%;
  background: none;
  color: ${colour('ink')};
  font-size: 19px;
  font-weight: 700;
  cursor: pointer;
  &[data-disabled] {
    opacity: 0.25;
    cursor: default;
  }
`;
