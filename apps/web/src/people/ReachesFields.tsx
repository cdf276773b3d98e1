import type { LengthUnit } from '@orthokin/core/floor';
import { BODY_BOUNDS_M, HELD, type Held, type Reaches } from '@orthokin/core/people';
import type { ReactElement } from 'react';
import { OptionalLengthField } from '../parts/form/NumberFields.js';
import { SelectField } from '../parts/form/SelectField.js';
import { say } from '../words/people.js';

/** Reach with implements of other sports: a field each, and a button to add one. */
export function ReachesFields({
  reaches,
  unit,
  onChange,
}: {
  reaches: Reaches | null;
  unit: LengthUnit;
  onChange: (reaches: Reaches) => void;
}): ReactElement {
  const [least, most] = BODY_BOUNDS_M.reachM;
  const isShown = (held: Held) => reaches !== null && held in reaches;
  const others = HELD.filter((held) => !isShown(held));
  return (
    <>
      {HELD.filter(isShown).map((held) => (
        <OptionalLengthField
          key={held}
          label={say('reachWith', { held })}
          unit={unit}
          min={least}
          max={most}
          value={reaches?.[held] ?? null}
          onChange={(metres) => onChange({ ...reaches, [held]: metres })}
        />
      ))}
      {others.length > 0 && (
        <SelectField
          label={say('addReach')}
          value=""
          options={[
            ['', say('chooseHeld')],
            ...others.map((held) => [held, say('heldWords', { held })] as const),
          ]}
          onChange={(held) => {
            if (held !== '') onChange({ ...reaches, [held]: null });
          }}
        />
      )}
    </>
  );
}
