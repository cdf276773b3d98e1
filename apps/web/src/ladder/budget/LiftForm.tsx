import type { Lift } from '@orthokin/core/budget';
import type { ReactElement } from 'react';
import { CheckField } from '../../parts/form/CheckField.js';
import { Fields, WideField } from '../../parts/form/Fields.js';
import { NumberField, ShareField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Heading } from '../../parts/Text.js';
import { say } from '../../words/ladder.js';
import { USUAL_LIFT, type RallyPlan } from './usual-rally.js';

const HIGHEST_M = 4;

/** Heights of contact, flat or lobbed, and what a bounce keeps. */
export function LiftForm({
  plan,
  onChange,
}: {
  plan: RallyPlan;
  onChange: (plan: RallyPlan) => void;
}): ReactElement {
  const { lift = null, coming } = plan;
  const set = (change: Partial<Lift>) =>
    onChange({ ...plan, lift: { ...(lift ?? USUAL_LIFT), ...change } });
  const height = (label: string, value: number, change: (metres: number) => void) => (
    <NumberField
      {...{ label, value }}
      unit="m"
      decimals={1}
      min={0}
      max={HIGHEST_M}
      onChange={change}
    />
  );
  return (
    <>
      <Heading>{say('howHigh')}</Heading>
      <Fields style={{ marginBottom: 18 }}>
        <WideField>
          <CheckField
            isSelected={lift !== null}
            onChange={(isOn) => onChange({ ...plan, lift: isOn ? USUAL_LIFT : null })}
          >
            {say('reckonHeight')}
          </CheckField>
        </WideField>
        {lift && (
          <>
            <SelectField
              label={say('itIsPlayed')}
              value={lift.isLobbed ? 'lob' : 'flat'}
              options={[
                ['flat', say('flat')],
                ['lob', say('lobbed')],
              ]}
              onChange={(way) => set({ isLobbed: way === 'lob' })}
            />
            {height(say('struckHeight'), lift.struckM, (struckM) => set({ struckM }))}
            {coming.bounceBeforeM === null ? (
              height(say('takenHeight'), lift.takenM, (takenM) => set({ takenM }))
            ) : (
              <>
                <ShareField
                  label={say('bounceKeepsAlong')}
                  min={0.05}
                  value={lift.alongKept}
                  onChange={(alongKept) => set({ alongKept })}
                />
                <ShareField
                  label={say('bounceKeepsUp')}
                  min={0.05}
                  value={lift.upKept}
                  onChange={(upKept) => set({ upKept })}
                />
              </>
            )}
          </>
        )}
      </Fields>
    </>
  );
}
