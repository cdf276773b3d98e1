import type { PatternReply } from '@orthokin/contract';
import { isStoppedWhole, type Minded } from '@orthokin/core/people';
import { useMemo, type ReactElement } from 'react';
import { useLibrary } from '../../api/patterns.js';
import { Quiet } from '../../parts/Text.js';
import { useAddress } from '../../parts/useAddress.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { say } from '../../words/floor.js';

/** Chooses the set's pattern; by default the one the athlete is working on. */
export function PatternPicker({
  pattern,
  minded,
  day,
}: {
  pattern: PatternReply;
  /** Restrictions: patterns that leave nothing to do are marked. */
  minded: Minded;
  day: string;
}): ReactElement {
  const library = useLibrary();
  const [, change] = useAddress();
  const options = useMemo(
    () =>
      library.data
        ?.filter(({ archived, pattern: { rungs } }) => !archived && rungs.length > 0)
        .map(({ id, pattern: other }) => {
          const now = isStoppedWhole(other, minded, day) ? say('notNow') : '';
          return [id, say('patternNow', { name: other.name, now })] as const;
        }),
    [library.data, minded, day],
  );
  // Offline, or for an archived pattern, there is nothing to choose from.
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
