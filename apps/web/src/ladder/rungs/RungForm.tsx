import type { Target } from '@orthokin/core/floor';
import {
  DOINGS,
  GATED_DURATIONS,
  PRESSURES,
  RUNG_ORDERS,
  type GatedDuration,
  type Rung,
} from '@orthokin/core/pattern';
import { withLimit } from '@orthokin/core/progress';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { CheckField } from '../../parts/form/CheckField.js';
import { Fields, WideField } from '../../parts/form/Fields.js';
import { CountField, SecondsField, ShareField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { TextField } from '../../parts/form/TextField.js';
import { capital } from '../../words/format.js';
import { Quiet } from '../../parts/Text.js';
import { orderWords } from '../../words/set-up.js';
import { sourceWords } from '../../words/limit.js';
import { CoachLimits } from './CoachLimits.js';
import { TargetLimits } from './TargetLimits.js';
import { say } from '../../words/ladder.js';
import { againstWords, doingWords } from '../../words/rung.js';

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

/** A limit's value when it is switched on: easy, to be lowered. */
const FIRST_LIMIT_MS: Readonly<Record<GatedDuration, number>> = {
  reaction: 500,
  response: 1500,
  recovery: 2000,
  cycle: 4000,
};

/** A spread's value when it is switched on: interquartile range over a quarter of the median. */
const FIRST_SPREAD = 0.25;

/** All of a rung's demands. */
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
  const share = (name: keyof Rung & `${string}Share`, label: string, max = 1) => (
    <ShareField
      label={label}
      max={max}
      value={rung[name]}
      onChange={(value) => set({ [name]: value })}
    />
  );
  const limit = (gate: GatedDuration, ms: number | null) =>
    onChange(withLimit(rung, gate, ms === null ? null : { ms, source: { kind: 'coach' } }));
  const inPlay = (letter: string, isIn: boolean) => {
    const letters = targets
      .map((target) => target.letter)
      .filter((each) => (each === letter ? isIn : rung.targets.includes(each)));
    if (letters.length > 0) set({ targets: letters });
  };
  return (
    <>
      <RungFields>
        <WideField>
          <TextField
            label={say('name')}
            value={rung.name}
            maxLength={80}
            onChange={(name) => set({ name })}
            required
          />
        </WideField>
        <div className="targets" role="group" aria-label={say('targetsPlay')}>
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
          label={say('orderCues')}
          value={rung.order}
          options={RUNG_ORDERS.map((order) => [order, orderWords(order)] as const)}
          onChange={(order) => set({ order })}
        />
        <SelectField
          label={say('target')}
          value={rung.doing}
          options={DOINGS.map((each) => [each, doingWords(each)] as const)}
          onChange={(doing) => set({ doing })}
        />
        <SelectField
          label={say('against')}
          value={rung.pressure}
          options={PRESSURES.map((each) => [each, againstWords(each)] as const)}
          onChange={(pressure) => set({ pressure })}
        />
        {share('catchShare', say('catchTrials'), 0.5)}
        {share('switchShare', say('switchedCues'), 0.5)}
        <ShareField
          label={say('floorItsSize')}
          min={0.25}
          max={2}
          value={rung.floorScale}
          onChange={(share) => set({ floorScale: share })}
        />
        <ShareField
          label={say('timeMatchTime')}
          min={0.5}
          max={3}
          value={rung.timeFactor}
          onChange={(share) => set({ timeFactor: share })}
        />
      </RungFields>
      <Quiet style={{ marginBottom: 6 }}>{say('longestAllowedTimes')}</Quiet>
      <RungFields>
        {GATED_DURATIONS.map((gate) => (
          <div key={gate}>
            <CheckField
              isSelected={rung.limitsMs[gate] !== undefined}
              onChange={(isOn) => limit(gate, isOn ? FIRST_LIMIT_MS[gate] : null)}
            >
              {say('limitGate', { gate })}
            </CheckField>
            {rung.limitsMs[gate] !== undefined && (
              <>
                <SecondsField
                  label={capital(gate)}
                  minMs={50}
                  maxMs={30000}
                  valueMs={rung.limitsMs[gate]}
                  onChange={(ms) => limit(gate, ms)}
                />
                <Quiet style={{ fontSize: 15 }}>{sourceWords(rung.limitSources[gate])}</Quiet>
                <TargetLimits {...{ rung, gate, targets, onChange }} />
              </>
            )}
          </div>
        ))}
      </RungFields>
      <CoachLimits {...{ rung, onChange }} />
      <Quiet style={{ marginBottom: 6 }}>{say('whatSetMustShow')}</Quiet>
      <RungFields>
        {share('passShare', say('repsInsideLimits'))}
        {share('cleanShare', say('withoutWatchedFault'))}
        {share('falseStartShare', say('mostFalseStarts'))}
        {share('heldShare', say('catchTrialsHeld'))}
        <CountField
          label={say('validRepsLeast')}
          min={1}
          max={60}
          value={rung.minValidReps}
          onChange={(reps) => set({ minValidReps: reps })}
        />
        <div>
          <CheckField
            isSelected={rung.mostSpread !== null}
            onChange={(isOn) => set({ mostSpread: isOn ? FIRST_SPREAD : null })}
          >
            {say('limitSpreadCycle')}
          </CheckField>
          {rung.mostSpread !== null && (
            <ShareField
              label={say('spreadCycle')}
              min={0.01}
              value={rung.mostSpread}
              onChange={(share) => set({ mostSpread: share })}
            />
          )}
        </div>
      </RungFields>
    </>
  );
}
