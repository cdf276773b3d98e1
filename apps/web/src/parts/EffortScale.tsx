import { EFFORT } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { Label, RadioButton, RadioField } from 'react-aria-components';
import styled from 'styled-components';
import { BigChoices } from './form/BigChoices.js';
import { Quiet } from './Text.js';
import { MONO, NARROW } from './tokens.js';
import { say } from '../words/session.js';

const Scale = styled(BigChoices)`
  display: grid;
  gap: 6px;
  .steps {
    display: grid;
    grid-template-columns: repeat(11, minmax(0, 1fr));
    gap: 6px;
  }
  @media (max-width: ${NARROW}) {
    .steps {
      grid-template-columns: repeat(6, minmax(0, 1fr));
    }
  }
  .react-aria-RadioButton {
    min-width: 0;
    padding: 0;
    font: 650 20px ${MONO};
  }
`;

const STEPS = Array.from({ length: EFFORT[1] - EFFORT[0] + 1 }, (_, i) => EFFORT[0] + i);

/** A scale of effort, 0 to 10; nothing is selected if several people differ. */
export const EffortScale = ({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number | null;
  onChange: (effort: number) => void;
}): ReactElement => (
  <Scale
    value={value === null ? '' : String(value)}
    onChange={(chosen) => onChange(Number(chosen))}
    orientation="horizontal"
  >
    <Label>{label}</Label>
    <div className="steps">
      {STEPS.map((step) => (
        <RadioField key={step} value={String(step)}>
          <RadioButton>{step}</RadioButton>
        </RadioField>
      ))}
    </div>
    <Quiet as="span">{say('effortNothing')}</Quiet>
  </Scale>
);
