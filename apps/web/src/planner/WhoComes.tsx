import type { ReactElement } from 'react';
import { useGroups } from '../api/groups.js';
import { useSquad } from '../api/squad.js';
import { SelectField } from '../parts/form/SelectField.js';
import { Quiet } from '../parts/Text.js';
import { colour } from '../parts/tokens.js';
import { listWords } from '../words/format.js';
import { say } from '../words/plan.js';
import { People } from './People.js';

const NONE = '';
const ALL = 'everyone';

/** Chooses who attends a session, one by one or by squad, and warns about restrictions. */
export function WhoComes({
  athleteIds,
  onChange,
}: {
  athleteIds: readonly string[];
  onChange: (athleteIds: string[]) => void;
}): ReactElement {
  const squad = useSquad();
  const groups = useGroups();
  const lines = squad.data ?? [];
  // Until the squad is loaded "everyone" would mean nobody.
  const isRead = squad.data !== undefined;
  const everyone = lines.map(({ athlete }) => athlete.id);
  const restricted = lines.filter(
    ({ athlete, restricted: may }) => may && athleteIds.includes(athlete.id),
  );
  const toggle = (id: string) =>
    onChange(
      athleteIds.includes(id) ? athleteIds.filter((one) => one !== id) : [...athleteIds, id],
    );
  return (
    <>
      <span>{say('whoComes', { count: athleteIds.length })}</span>
      <People role="group" aria-label={say('whoComes', { count: athleteIds.length })}>
        {lines.map(({ athlete: { id, name } }) => (
          <button
            key={id}
            type="button"
            aria-pressed={athleteIds.includes(id)}
            onClick={() => toggle(id)}
          >
            {name}
          </button>
        ))}
        {isRead && (
          <div style={{ width: 190 }}>
            <SelectField
              label={say('everyoneOf')}
              hideLabel
              value={NONE}
              options={[
                [NONE, say('everyoneOf')],
                [ALL, say('everyone')],
                ...(groups.data ?? []).map(({ id, name }) => [id, name] as const),
              ]}
              onChange={(id) => {
                const group = groups.data?.find((one) => one.id === id);
                if (id !== NONE)
                  onChange(
                    group ? group.athleteIds.filter((one) => everyone.includes(one)) : everyone,
                  );
              }}
            />
          </div>
        )}
      </People>
      {restricted.length > 0 && (
        <Quiet role="status" style={{ color: colour('bad') }}>
          {say('restrictedOnes', {
            names: listWords(restricted.map(({ athlete }) => athlete.name)),
          })}
        </Quiet>
      )}
    </>
  );
}
