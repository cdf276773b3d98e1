import { useState, type ReactElement } from 'react';
import { useCourse } from '../../api/review.js';
import { useSquad } from '../../api/squad.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { dayWords, timeWords } from '../../words/format.js';

/** A set, by its athlete and its day. */
export function ChooseSet({
  label,
  chosen,
  onChoose,
}: {
  label: string;
  chosen: readonly string[];
  onChoose: (setId: string) => void;
}): ReactElement {
  const squad = useSquad();
  const [athleteId, setAthleteId] = useState('');
  const course = useCourse(athleteId);
  const sets = [...(course.data?.sets ?? [])].reverse();
  const [only = ''] = chosen.length === 1 ? chosen : [];
  return (
    <div style={{ display: 'grid', gap: 8 }}>
      <SelectField
        label={`${label}: athlete`}
        value={athleteId}
        options={[
          ['', 'as shown'],
          ...(squad.data ?? []).map(({ athlete }) => [athlete.id, athlete.name] as const),
        ]}
        onChange={setAthleteId}
      />
      {sets.length > 0 && (
        <SelectField
          label={`${label}: set`}
          value={sets.some(({ setId }) => setId === only) ? only : ''}
          options={[
            ['', 'choose a set'],
            ...sets.map(({ setId, atMs, rung }) => {
              const at = new Date(atMs).toISOString();
              return [setId, `${dayWords(at)} ${timeWords(at)}, rung ${rung}`] as const;
            }),
          ]}
          onChange={(id) => id !== '' && onChoose(id)}
        />
      )}
    </div>
  );
}
