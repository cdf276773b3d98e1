import { useState, type ReactElement } from 'react';
import { useCourse } from '../../api/review.js';
import { useSquad } from '../../api/squad.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { dayWords, timeWords } from '../../words/format.js';
import { say } from '../../words/review.js';

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
        label={say('labelAthlete', { label })}
        value={athleteId}
        options={[
          ['', say(chosen.length === 0 ? 'chooseWhose' : 'shown')],
          ...(squad.data ?? []).map(({ athlete }) => [athlete.id, athlete.name] as const),
        ]}
        onChange={setAthleteId}
      />
      {sets.length > 0 && (
        <SelectField
          label={say('labelSet', { label })}
          value={sets.some(({ setId }) => setId === only) ? only : ''}
          options={[
            ['', say('chooseSet')],
            ...sets.map(({ setId, atMs, rung }) => {
              const at = new Date(atMs).toISOString();
              return [
                setId,
                say('dayTimeRung', { day: dayWords(at), time: timeWords(at), rung }),
              ] as const;
            }),
          ]}
          onChange={(id) => id !== '' && onChoose(id)}
        />
      )}
    </div>
  );
}
