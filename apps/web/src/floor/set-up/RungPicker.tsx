import type { PatternReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useAddress } from '../../parts/useAddress.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { say } from '../../words/floor.js';

/** Chooses the set's rung; by default the athlete's own. */
export function RungPicker({
  pattern,
  own,
  rung,
  stopped,
}: {
  pattern: PatternReply;
  own: number;
  rung: number;
  /** Rungs forbidden by a restriction. */
  stopped: readonly number[];
}): ReactElement {
  const [, change] = useAddress();
  return (
    <div style={{ flex: '0 1 300px' }}>
      <SelectField
        label={say('rung')}
        hideLabel
        value={String(rung)}
        options={pattern.rungs.map(
          ({ number, name }) =>
            [
              String(number),
              say('rungOfWhose', {
                number,
                of: pattern.rungs.length,
                name,
                whose: number === own ? '' : say('notTheirOwn'),
                now: stopped.includes(number) ? say('notNow') : '',
              }),
            ] as const,
        )}
        onChange={(chosen) => change({ rung: Number(chosen) === own ? null : chosen })}
      />
    </div>
  );
}
