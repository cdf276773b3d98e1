import type { ReactElement } from 'react';
import { Label, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { Unseen } from '../Text.js';
import { colour, FONT } from '../tokens.js';

/** A label above something typed, with what is wrong below it. */
export const FieldBox = styled(TextField)`
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
  input[data-invalid] {
    border-color: ${colour('bad')};
  }
  .react-aria-Text {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .react-aria-FieldError {
    font-size: 15px;
    color: ${colour('bad')};
  }
`;

/** A field's label; `hidden` leaves it to screen readers only. */
export const FieldLabel = ({ label, hidden }: { label: string; hidden: boolean }): ReactElement => (
  <Label>{hidden ? <Unseen>{label}</Unseen> : label}</Label>
);
