import type { Rung } from '@orthokin/core/pattern';
import { Minus, Plus } from 'lucide-react';
import type { ReactElement } from 'react';
import {
  Button,
  Group,
  Input,
  Label,
  NumberField,
  RadioButton,
  RadioField,
  RadioGroup,
} from 'react-aria-components';
import styled from 'styled-components';
import { CheckField } from '../parts/form/CheckField.js';
import { seconds } from '../parts/format.js';
import { Quiet, Time } from '../parts/Text.js';
import { colour, MONO } from '../parts/tokens.js';
import { FOREPERIOD_MS, MAX_RUN, type DrillChoices } from './plan-drill.js';

const MAX_SET_REPS = 30;
const DEFAULT_REPS = 10;

const Choices = styled.div`
  display: grid;
  gap: 22px;
  margin: 24px 0;
  padding: 22px 0;
  border-block: 1px solid ${colour('rule')};
  label {
    cursor: pointer;
  }
  .label {
    display: block;
    margin-bottom: 8px;
    font-weight: 650;
  }
`;

const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  .react-aria-RadioField {
    flex: 1 1 220px;
    max-width: 330px;
  }
  .react-aria-RadioButton {
    display: block;
    height: 100%;
    padding: 11px 15px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    cursor: pointer;
    small {
      display: block;
      font-size: 15px;
      color: ${colour('quiet')};
    }
  }
  .react-aria-RadioButton[data-selected] {
    border-color: ${colour('ink')};
    box-shadow: inset 0 0 0 1.5px ${colour('ink')};
    background: ${colour('raised')};
  }
  .react-aria-RadioButton[data-focus-visible] {
    outline: 3px solid #2f6db5;
    outline-offset: 2px;
  }
`;

const Stepper = styled(Group)`
  display: inline-flex;
  border: 1.5px solid ${colour('rule')};
  border-radius: 4px;
  button {
    display: grid;
    place-items: center;
    width: 52px;
    height: 52px;
    border: 0;
    background: none;
    color: ${colour('ink')};
    cursor: pointer;
  }
  input {
    width: 64px;
    border: 0;
    background: none;
    color: ${colour('ink')};
    text-align: center;
    font: 700 22px ${MONO};
  }
`;

/** What the coach chooses before a set, and what follows from it. */
export const DrillChoicesForm = ({
  choices,
  onChange,
  rung,
  seed,
}: {
  choices: DrillChoices;
  onChange: (choices: DrillChoices) => void;
  rung: Rung | undefined;
  seed: number;
}): ReactElement => (
  <Choices>
    <RadioGroup
      value={choices.source}
      onChange={(source) => onChange({ ...choices, source: source as DrillChoices['source'] })}
    >
      <Label className="label">Timed by</Label>
      <Options>
        <RadioField value="hand">
          <RadioButton>
            Hand
            <small>
              You press first move, action and home as you see them; one press is sure to about 0.05
              s.
            </small>
          </RadioButton>
        </RadioField>
        <RadioField value="simulated">
          <RadioButton>
            The simulated athlete
            <small>Moves on the drawn floor; for trying a set out alone.</small>
          </RadioButton>
        </RadioField>
      </Options>
    </RadioGroup>
    <NumberField
      value={choices.reps}
      minValue={1}
      maxValue={MAX_SET_REPS}
      onChange={(reps) => onChange({ ...choices, reps: Number.isNaN(reps) ? DEFAULT_REPS : reps })}
    >
      <Label className="label">Reps</Label>
      <Stepper>
        <Button slot="decrement">
          <Minus size={20} />
        </Button>
        <Input />
        <Button slot="increment">
          <Plus size={20} />
        </Button>
      </Stepper>
    </NumberField>
    <CheckField
      isSelected={choices.withTone}
      onChange={(withTone) => onChange({ ...choices, withTone })}
    >
      A tone with each cue
    </CheckField>
    <Quiet>
      Targets {rung?.targets.join(', ')} in shuffled order, never more than {MAX_RUN} of one in a
      row, {FOREPERIOD_MS.map((ms) => (ms / 1000).toFixed(1)).join(' to ')} s from home to cue.
      Limits:{' '}
      {Object.entries(rung?.limitsMs ?? {}).map(([name, ms], i) => (
        <span key={name}>
          {i > 0 && ', '}
          {name} <Time>{seconds(ms)}</Time> s
        </span>
      ))}
      . Seed <Time>{seed}</Time>.
    </Quiet>
  </Choices>
);
