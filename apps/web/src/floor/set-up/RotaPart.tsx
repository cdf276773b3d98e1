import { X } from 'lucide-react';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { useSquad } from '../../api/squad.js';
import { MOST_IN_ROTA } from '@orthokin/core/run';
import { CheckField } from '../../parts/form/CheckField.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { IconButton } from '../../parts/IconButton.js';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/floor.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 10px;
  .who {
    display: inline-flex;
    align-items: center;
    gap: 2px;
    min-height: 44px;
    padding-left: 14px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    font-weight: 600;
    small {
      display: block;
      font-size: 14px;
      font-weight: 450;
      color: ${colour('quiet')};
    }
  }
  .add {
    width: 200px;
  }
`;

/** Chooses who else works, in a rota that changes after every set. */
export function RotaPart({
  athleteId,
  others,
  onChange,
  isShared,
  onShared,
}: {
  athleteId: string;
  others: readonly string[];
  onChange: (others: readonly string[]) => void;
  /** Whether the others run the first athlete's pattern. */
  isShared: boolean;
  onShared: (isShared: boolean) => void;
}): ReactElement | null {
  const squad = useSquad();
  const people = (squad.data ?? []).map(
    ({ athlete: { id, name }, restricted, patternName, rung }) => ({
      id,
      name: restricted ? say('nameRestricted', { name }) : name,
      worksOn: say('patternAndRung', { pattern: patternName, rung }),
    }),
  );
  const free = people.filter(({ id }) => id !== athleteId && !others.includes(id));
  if (people.length < 2) return null;
  return (
    <Row>
      {others.map((id) => {
        const { name = '', worksOn = '' } = people.find((person) => person.id === id) ?? {};
        return (
          <span key={id} className="who">
            <span>
              {name}
              {!isShared && <small>{worksOn}</small>}
            </span>
            <IconButton
              aria-label={say('takeNameOutRota', { name })}
              onPress={() => onChange(others.filter((other) => other !== id))}
            >
              <X size={17} />
            </IconButton>
          </span>
        );
      })}
      {others.length < MOST_IN_ROTA - 1 && free.length > 0 && (
        <div className="add">
          <SelectField
            label={say('addRota')}
            hideLabel
            value="none"
            options={[
              ['none', others.length === 0 ? say('alone') : say('andWith')],
              ...free.map(({ id, name }) => [id, name] as const),
            ]}
            onChange={(id) => id !== 'none' && onChange([...others, id])}
          />
        </div>
      )}
      {others.length > 0 && (
        <CheckField isSelected={isShared} onChange={onShared}>
          {say('allOnThis')}
        </CheckField>
      )}
    </Row>
  );
}
