import { fromMetresPerSecond, toMetresPerSecond, typicalSpeeds } from '@orthokin/core/budget';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { SliderField } from '../../parts/form/SliderField.js';
import { say } from '../../words/ladder.js';
import type { RallyPlan } from './usual-rally.js';

const Typical = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 2px 0 14px;
`;

/** The slider ends at twice the fastest typical speed. */
const BEYOND_TYPICAL = 2;
const UNKNOWN_MOST = 60;

/** A slider for the speed, marked with typical speeds. */
export function SpeedPart({
  plan,
  onChange,
}: {
  plan: RallyPlan;
  onChange: (plan: RallyPlan) => void;
}): ReactElement {
  const { projectile, speed, unit } = plan;
  const typical = typicalSpeeds(projectile.name);
  const most = BEYOND_TYPICAL * (typical.at(-1)?.speed ?? UNKNOWN_MOST / BEYOND_TYPICAL);
  const inUnit = (metresPerSecond: number) =>
    Math.round(fromMetresPerSecond(metresPerSecond, unit));
  return (
    <>
      <SliderField
        label={say('howFastItComes')}
        words={say('speedIn', { speed: inUnit(speed), unit })}
        value={inUnit(speed)}
        minValue={1}
        maxValue={inUnit(most)}
        step={1}
        onChange={(given) => onChange({ ...plan, speed: toMetresPerSecond(given, unit) })}
      />
      <Typical role="group" aria-label={say('typicalOf', { flies: projectile.name })}>
        {typical.map(({ level, speed: usual }) => (
          <Button
            key={level}
            aria-pressed={inUnit(usual) === inUnit(speed)}
            onPress={() => onChange({ ...plan, speed: usual })}
          >
            {say('typicalSpeed', { level, speed: inUnit(usual), unit })}
          </Button>
        ))}
      </Typical>
    </>
  );
}
