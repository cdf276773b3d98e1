import styled from 'styled-components';
import { colour, FONT } from '../tokens.js';

/** A label above something typed, with what is wrong below it. */
export const FieldBox = styled.div`
  display: grid;
  gap: 3px;
  min-width: 0;
  label {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  input,
  textarea {
    width: 100%;
    min-height: 40px;
    padding: 6px 9px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    background: ${colour('raised')};
    color: ${colour('ink')};
    font: 500 16px/1.35 ${FONT};
  }
  input[aria-invalid='true'] {
    border-color: ${colour('bad')};
  }
  .wrong {
    font-size: 15px;
    color: ${colour('bad')};
  }
`;
