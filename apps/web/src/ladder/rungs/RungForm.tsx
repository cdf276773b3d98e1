import type { Target } from '@orthokin/core/floor';
import {
  DOINGS,
  GATED_DURATIONS,
  PRESSURES,
  RUNG_ORDERS,
  type GatedDuration,
  type Rung,
} from '@orthokin/core/pattern';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { CheckField } from '../../parts/form/CheckField.js';
import { Fields } from '../../parts/form/Fields.js';
import { NumberField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { TextField } from '../../parts/form/TextField.js';
import { capital } from '../../parts/format.js';
import { Quiet } from '../../parts/Text.js';
import { sourceWords } from '../words/limit-words.js';

const RungFields = styled(Fields)`
  align-items: start;
  margin-bottom: 14px;
  .targets {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 18px;
    grid-column: 1 / -1;
  }
`;

/** 0 means that a duration is not judged. */
const NO_LIMIT = 0;

/** Everything one rung asks. */
export function RungForm({
  rung,
  targets,
  onChange,
}: {
  rung: Rung;
  targets: readonly Target[];
  onChange: (rung: Rung) => void;
}): ReactElement {
  const set = (change: Partial<Rung>) => onChange({ ...rung, ...change });
  const share = (name: keyof Rung & `${string}Share`, label: string, most = 100) => (
    <NumberField
      label={label}
      unit="%"
      min={0}
      max={most}
      value={100 * rung[name]}
      onChange={(percent) => set({ [name]: percent / 100 })}
    />
  );
  const limit = (gate: GatedDuration, seconds: number) => {
    const { [gate]: _limit, ...limitsMs } = rung.limitsMs;
    const { [gate]: _source, ...limitSources } = rung.limitSources;
    set(
      seconds === NO_LIMIT
        ? { limitsMs, limitSources }
        : {
            limitsMs: { ...limitsMs, [gate]: Math.round(1000 * seconds) },
            limitSources: { ...limitSources, [gate]: { kind: 'coach' } },
          },
    );
  };
  const inPlay = (letter: string, isIn: boolean) => {
    const letters = targets
      .map((target) => target.letter)
      .filter((each) => (each === letter ? isIn : rung.targets.includes(each)));
    if (letters.length > 0) set({ targets: letters });
  };
  return (
    <>
      <RungFields>
        <div className="wide">
          <TextField
            label="Name"
            value={rung.name}
            maxLength={80}
            onChange={(name) => set({ name })}
            required
          />
        </div>
        <div className="targets" role="group" aria-label="Targets in play">
          {targets.map(({ letter, name }) => (
            <CheckField
              key={letter}
              isSelected={rung.targets.includes(letter)}
              onChange={(isIn) => inPlay(letter, isIn)}
            >
              {`${letter}, ${name}`}
            </CheckField>
          ))}
        </div>
        <SelectField
          label="Order of cues"
          value={rung.order}
          options={RUNG_ORDERS}
          onChange={(order) => set({ order })}
        />
        <SelectField
          label="At the target"
          value={rung.doing}
          options={DOINGS}
          onChange={(doing) => set({ doing })}
        />
        <SelectField
          label="Against"
          value={rung.pressure}
          options={PRESSURES.map((each) => [each, each === 'none' ? 'nobody' : each] as const)}
          onChange={(pressure) => set({ pressure })}
        />
        {share('catchShare', 'Catch trials', 50)}
        {share('switchShare', 'Switched cues', 50)}
        <NumberField
          label="Floor, of its size"
          unit="%"
          min={25}
          max={200}
          value={100 * rung.floorScale}
          onChange={(percent) => set({ floorScale: percent / 100 })}
        />
        <NumberField
          label="Time, of match time"
          unit="%"
          min={50}
          max={300}
          value={100 * rung.timeFactor}
          onChange={(percent) => set({ timeFactor: percent / 100 })}
        />
      </RungFields>
      <Quiet style={{ marginBottom: 6 }}>Longest allowed times; 0 for no limit.</Quiet>
      <RungFields>
        {GATED_DURATIONS.map((gate) => (
          <div key={gate}>
            <NumberField
              label={capital(gate)}
              unit="s"
              decimals={2}
              min={0}
              max={30}
              value={(rung.limitsMs[gate] ?? NO_LIMIT) / 1000}
              onChange={(seconds) => limit(gate, seconds)}
            />
            {rung.limitsMs[gate] !== undefined && (
              <Quiet style={{ fontSize: 15 }}>{sourceWords(rung.limitSources[gate])}</Quiet>
            )}
          </div>
        ))}
      </RungFields>
      <Quiet style={{ marginBottom: 6 }}>What a set must show.</Quiet>
      <RungFields>
        {share('passShare', 'Reps inside the limits')}
        {share('cleanShare', 'Without a watched fault')}
        {share('falseStartShare', 'Most false starts')}
        {share('heldShare', 'Catch trials held')}
        <NumberField
          label="Valid reps, at least"
          unit=""
          min={1}
          max={60}
          value={rung.minValidReps}
          onChange={(reps) => set({ minValidReps: Math.round(reps) })}
        />
        <NumberField
          label="Spread of the cycle (0: any)"
          unit="%"
          min={0}
          max={100}
          value={100 * (rung.mostSpread ?? 0)}
          onChange={(percent) => set({ mostSpread: percent === 0 ? null : percent / 100 })}
        />
      </RungFields>
    </>
  );
}
