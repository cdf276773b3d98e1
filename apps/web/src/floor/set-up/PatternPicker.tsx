import type { PatternReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useLibrary } from '../../api/patterns.js';
import { Quiet } from '../../parts/Text.js';
import { useAddress } from '../../parts/useAddress.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { say } from '../../words/floor.js';

/** Which pattern the set is on; the one the athlete is working on until another is chosen. */
export function PatternPicker({ pattern }: { pattern: PatternReply }): ReactElement {
  const library = useLibrary();
  const [, change] = useAddress();
  const options = library.data
    ?.filter(({ archived, pattern: { rungs } }) => !archived && rungs.length > 0)
    .map(({ id, pattern: { name } }) => [id, name] as const);
  // Without the library (or for an archived pattern) there is nothing to choose from.
  if (!options?.some(([id]) => id === pattern.id)) return <Quiet>{pattern.name},</Quiet>;
  return (
    <div style={{ flex: '0 1 270px' }}>
      <SelectField
        label={say('pattern2')}
        hideLabel
        value={pattern.id}
        options={options}
        onChange={(id) => change({ pattern: id })}
      />
    </div>
  );
}
