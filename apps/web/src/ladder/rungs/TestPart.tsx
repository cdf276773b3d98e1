import type { LadderSettingsBody } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { CheckField } from '../../parts/form/CheckField.js';
import { Fields } from '../../parts/form/Fields.js';
import { CountField } from '../../parts/form/NumberFields.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { say } from '../../words/ladder.js';

/** The standard test: the same cues on the first day and the last. */
export function TestPart({
  climb: { test },
  rungs,
  onChange,
}: {
  climb: LadderSettingsBody;
  rungs: number;
  onChange: (change: Partial<LadderSettingsBody>) => void;
}): ReactElement {
  const USUAL_REPS = 12;
  return (
    <section>
      <Heading>{say('testDays')}</Heading>
      <CheckField
        isSelected={test !== null}
        onChange={(isOn) =>
          onChange({
            test: isOn
              ? {
                  ...{ rung: 1, reps: USUAL_REPS },
                  seed: crypto.getRandomValues(new Uint32Array(1))[0] ?? 1,
                }
              : null,
          })
        }
      >
        {say('standardTestSameRungSameCues')}
      </CheckField>
      {test && (
        <Fields style={{ marginTop: 12 }}>
          <CountField
            label={say('testRung')}
            min={1}
            max={Math.max(1, rungs)}
            value={test.rung}
            onChange={(rung) => onChange({ test: { ...test, rung: rung } })}
          />
          <CountField
            label={say('testReps')}
            min={4}
            max={60}
            value={test.reps}
            onChange={(reps) => onChange({ test: { ...test, reps: reps } })}
          />
          <Quiet style={{ fontSize: 15 }}>
            {say('seedSeedAnotherNumberRepsRung', { seed: test.seed })}
          </Quiet>
        </Fields>
      )}
    </section>
  );
}
