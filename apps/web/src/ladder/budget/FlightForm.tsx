import {
  fromMetresPerSecond,
  PROJECTILES,
  SPEED_UNITS,
  toMetresPerSecond,
  type SpeedUnit,
} from '@orthokin/core/budget';
import type { ReactElement } from 'react';
import { CheckField } from '../../parts/form/CheckField.js';
import { NumberField, SecondsField, ShareField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { LiftForm } from './LiftForm.js';
import { SpeedPart } from './SpeedPart.js';
import type { RallyPlan } from './usual-rally.js';
import { Fields, WideField } from '../../parts/form/Fields.js';
import { say } from '../../words/ladder.js';

const UNITS = Object.keys(SPEED_UNITS) as SpeedUnit[];
const USUAL_WALL_M = 5;

/** What flies, how fast, and from where. */
export function FlightForm({
  plan,
  onChange,
}: {
  plan: RallyPlan;
  onChange: (plan: RallyPlan) => void;
}): ReactElement {
  const { projectile, speed, ownSpeed, unit, coming, handlingMs } = plan;
  const set = (change: Partial<RallyPlan>) => onChange({ ...plan, ...change });
  const comes = (change: Partial<RallyPlan['coming']>) => set({ coming: { ...coming, ...change } });
  const air = (change: Partial<RallyPlan['projectile']>) =>
    set({ projectile: { ...projectile, ...change } });
  const speedField = (label: string, value: number, change: (speed: number) => void) => (
    <NumberField
      label={label}
      unit={unit}
      decimals={unit === 'm/s' ? 1 : 0}
      min={1}
      max={500}
      value={fromMetresPerSecond(value, unit)}
      onChange={(given) => change(toMetresPerSecond(given, unit))}
    />
  );
  return (
    <>
      <Heading>{say('whatFlies')}</Heading>
      <Fields style={{ marginBottom: 18 }}>
        <SelectField
          label={say('itIsA')}
          value={projectile.name}
          options={PROJECTILES.map(({ name }) => name)}
          onChange={(name) =>
            set({ projectile: PROJECTILES.find((each) => each.name === name) ?? projectile })
          }
        />
        <NumberField
          label={say('mass')}
          unit="g"
          decimals={1}
          min={0.5}
          max={2000}
          value={1000 * projectile.massKg}
          onChange={(grams) => air({ massKg: grams / 1000 })}
        />
        <NumberField
          label={say('diameter')}
          unit="mm"
          min={5}
          max={400}
          value={1000 * projectile.diameterM}
          onChange={(mm) => air({ diameterM: mm / 1000 })}
        />
        <NumberField
          label={say('dragCoefficient')}
          unit=""
          decimals={2}
          min={0.05}
          max={2}
          value={projectile.dragCoefficient}
          onChange={(dragCoefficient) => air({ dragCoefficient })}
        />
      </Fields>
      <Heading>{say('howComes')}</Heading>
      <SpeedPart plan={plan} onChange={onChange} />
      <Fields style={{ marginBottom: 18 }}>
        {speedField(say('speedOffOpponent'), speed, (given) => set({ speed: given }))}
        <SelectField
          label={say('speeds')}
          value={unit}
          options={UNITS}
          onChange={(chosen) => set({ unit: chosen })}
        />
        <NumberField
          label={say('opponentForwardHome')}
          unit="m"
          decimals={1}
          min={-40}
          max={40}
          value={coming.opponent.y}
          onChange={(y) => comes({ opponent: { ...coming.opponent, y } })}
        />
        <NumberField
          label={say('opponentRight')}
          unit="m"
          decimals={1}
          min={-30}
          max={30}
          value={coming.opponent.x}
          onChange={(x) => comes({ opponent: { ...coming.opponent, x } })}
        />
        <WideField>
          <CheckField
            isSelected={coming.wallForwardM !== null}
            onChange={(isOff) => comes({ wallForwardM: isOff ? USUAL_WALL_M : null })}
          >
            {say('comesOffWall')}
          </CheckField>
        </WideField>
        {coming.wallForwardM !== null && (
          <NumberField
            label={say('wallForwardHome')}
            unit="m"
            decimals={1}
            min={0.5}
            max={40}
            value={coming.wallForwardM}
            onChange={(wallForwardM) => comes({ wallForwardM })}
          />
        )}
        {(coming.wallForwardM === null || plan.lift) && (
          <NumberField
            label={say('bouncesBeforeContact0Not')}
            unit="m"
            decimals={1}
            min={0}
            max={20}
            value={coming.bounceBeforeM ?? 0}
            onChange={(m) => comes({ bounceBeforeM: m === 0 ? null : m })}
          />
        )}
        {(coming.wallForwardM !== null || (coming.bounceBeforeM !== null && !plan.lift)) && (
          <ShareField
            label={coming.wallForwardM === null ? say('bounceKeepsSpeed') : say('wallKeepsSpeed')}
            min={0.05}
            value={coming.speedKept}
            onChange={(share) => comes({ speedKept: share })}
          />
        )}
      </Fields>
      <LiftForm plan={plan} onChange={onChange} />
      <Heading>{say('back')}</Heading>
      <Fields style={{ marginBottom: 18 }}>
        {speedField(say('speedOffAthlete'), ownSpeed, (given) => set({ ownSpeed: given }))}
        <SecondsField
          label={say('opponentsHandling')}
          minMs={0}
          maxMs={5000}
          valueMs={handlingMs}
          onChange={(ms) => set({ handlingMs: ms })}
        />
      </Fields>
      <Quiet style={{ fontSize: 15 }}>{say('typicalValuesAir12Kg')}</Quiet>
    </>
  );
}
