import { REST_RATIOS } from '@orthokin/core/drill';
import { Minus, Plus } from 'lucide-react';
import type { ReactElement } from 'react';
import { Button, Group, Input, Label, NumberField } from 'react-aria-components';
import styled from 'styled-components';
import { SelectField } from '../../parts/form/SelectField.js';
import { colour, MONO } from '../../parts/tokens.js';
import type { DrillChoices } from '../plan-drill.js';
import { say } from '../../words/floor.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 14px 22px;
  .label {
    display: block;
    margin-bottom: 4px;
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .select {
    width: 190px;
  }
  .select button {
    min-height: 55px;
  }
`;

const Stepper = styled(Group)`
  display: inline-flex;
  border: 1.5px solid ${colour('rule')};
  border-radius: 4px;
  background: ${colour('raised')};
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
    width: 58px;
    border: 0;
    background: none;
    color: ${colour('ink')};
    text-align: center;
    font: 700 22px ${MONO};
  }
`;

function Count({
  label,
  value,
  most,
  step = 1,
  onChange,
}: {
  label: string;
  value: number;
  most: number;
  step?: number;
  onChange: (value: number) => void;
}): ReactElement {
  return (
    <NumberField
      value={value}
      minValue={step}
      maxValue={most}
      step={step}
      onChange={(given) => onChange(Number.isNaN(given) ? value : given)}
    >
      <Label className="label">{label}</Label>
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
  );
}

const MOST_REPS = 30;
const MOST_SECONDS = 120;
const MOST_SETS = 10;

const RATIO_WORDS: Readonly<Record<number, string>> = {
  1: say('n11MatchCondition'),
  2: say('n12Quality'),
  4: say('n14TopSpeed'),
};

/** How much work, how many sets, and how much rest between. */
export function AmountPart({
  choices,
  usualRatio,
  turns,
  onChange,
}: {
  choices: DrillChoices;
  /** Rest per part of work, by the ladder's effort. */
  usualRatio: number;
  /** The total number of sets, of everybody. */
  turns: number;
  onChange: (change: Partial<DrillChoices>) => void;
}): ReactElement {
  const { conditions, reps, seconds, sets, restRatio } = choices;
  const work = (workMs: number | null) => onChange({ conditions: { ...conditions, workMs } });
  const byReps = conditions.workMs === null;
  return (
    <Row>
      <div className="select" style={{ width: 130 }}>
        <SelectField
          label={say('work')}
          value={byReps ? 'reps' : 'seconds'}
          options={['reps', 'seconds'] as const}
          onChange={(by) => work(by === 'reps' ? null : 1000 * seconds)}
        />
      </div>
      {byReps ? (
        <Count
          label={say('reps3')}
          value={reps}
          most={MOST_REPS}
          onChange={(value) => onChange({ reps: value })}
        />
      ) : (
        <Count
          label={say('seconds')}
          value={seconds}
          most={MOST_SECONDS}
          step={5}
          onChange={(value) =>
            onChange({ seconds: value, conditions: { ...conditions, workMs: 1000 * value } })
          }
        />
      )}
      <Count
        label={say('setsEach')}
        value={sets}
        most={MOST_SETS}
        onChange={(value) => onChange({ sets: value })}
      />
      {turns > 1 && (
        <div className="select">
          <SelectField
            label={say('workRest')}
            value={String(restRatio ?? usualRatio)}
            options={REST_RATIOS.map((ratio) => [String(ratio), RATIO_WORDS[ratio] ?? ''] as const)}
            onChange={(ratio) => onChange({ restRatio: Number(ratio) })}
          />
        </div>
      )}
    </Row>
  );
}
