import { LOSS_COST_LIMITS, type Conditions, type LossCost } from '@orthokin/core/drill';
import { EFFORTS } from '@orthokin/core/progress';
import type { ReactElement } from 'react';
import { CheckField } from '../../parts/form/CheckField.js';
import { Fields } from '../../parts/form/Fields.js';
import { CountField } from '../../parts/form/NumberFields.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/floor.js';
import { stakesWords } from '../../words/set-up.js';
import { Choice } from './Choice.js';

const USUAL_COST: LossCost = EFFORTS.pressure.stakes.lossCost;

/** Chooses what a lost rep does to the set: adds reps, or ends it. */
export function StakesPart({
  conditions,
  onChange,
}: {
  conditions: Conditions;
  onChange: (change: Partial<Conditions>) => void;
}): ReactElement {
  const { lossCost, endsOnFaults = false, watched, workMs } = conditions;
  const cost = (change: Partial<LossCost>) =>
    onChange({ lossCost: { ...USUAL_COST, ...lossCost, ...change } });
  return (
    <Choice title={say('whenRepGoesWrong')} says={stakesWords(conditions)}>
      {workMs === null && (
        <>
          <CheckField
            isSelected={Boolean(lossCost)}
            onChange={(isOn) => onChange({ lossCost: isOn ? USUAL_COST : null })}
          >
            {say('lostRepAddsReps')}
          </CheckField>
          {lossCost && (
            <Fields>
              <CountField
                label={say('eachAdds')}
                {...{ min: LOSS_COST_LIMITS.reps[0], max: LOSS_COST_LIMITS.reps[1] }}
                value={lossCost.reps}
                onChange={(reps) => cost({ reps })}
              />
              <CountField
                label={say('mostAdded')}
                {...{ min: LOSS_COST_LIMITS.most[0], max: LOSS_COST_LIMITS.most[1] }}
                value={lossCost.most}
                onChange={(most) => cost({ most })}
              />
            </Fields>
          )}
        </>
      )}
      <CheckField isSelected={endsOnFaults} onChange={(isOn) => onChange({ endsOnFaults: isOn })}>
        {say('endsWhenTechniqueGoes')}
      </CheckField>
      {endsOnFaults && watched.length === 0 && <Quiet>{say('nothingIsWatchedYet')}</Quiet>}
      <Quiet style={{ fontSize: 16 }}>{say('whatLostMeans')}</Quiet>
    </Choice>
  );
}
