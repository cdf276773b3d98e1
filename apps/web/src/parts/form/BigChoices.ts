import { RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { colour } from '../tokens.js';

/** One of several, each a large button to press beside a floor. */
export const BigChoices = styled(RadioGroup)`
  .react-aria-RadioButton {
    display: grid;
    place-items: center;
    min-width: 52px;
    min-height: 56px;
    padding: 6px 12px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    cursor: pointer;
    font-weight: 600;
  }
  .react-aria-RadioButton[data-selected] {
    border-color: ${colour('ink')};
    background: ${colour('ink')};
    color: ${colour('paper')};
  }
  .react-aria-RadioButton[data-focus-visible] {
    outline: 3px solid ${colour('focus')};
    outline-offset: 2px;
  }
`;
