import type { PatternReply } from '@orthokin/contract';
import type { ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { useLibrary } from '../club/queries.js';
import { SelectField } from '../parts/form/SelectField.js';

/** Which pattern the set is on; the one the athlete is working on until another is chosen. */
export function PatternPicker({ pattern }: { pattern: PatternReply }): ReactElement | null {
  const library = useLibrary();
  const [params, setParams] = useSearchParams();
  const options = library.data
    ?.filter(({ archived, pattern: { rungs } }) => !archived && rungs.length > 0)
    .map(({ id, pattern: { name } }) => [id, name] as const);
  if (!options?.some(([id]) => id === pattern.id)) return null;
  return (
    <div style={{ maxWidth: 330, marginBottom: 16 }}>
      <SelectField
        label="Pattern"
        value={pattern.id}
        options={options}
        onChange={(id) => {
          params.set('pattern', id);
          setParams(params, { replace: true });
        }}
      />
    </div>
  );
}
