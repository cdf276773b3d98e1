import type { Share } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { SelectField } from '../parts/form/SelectField.js';
import { minutesOf, say } from '../words/plan.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 20px;
  margin-top: 10px;
  .whom {
    width: 230px;
  }
  p {
    margin: 0 0 8px;
  }
`;

const NOBODY = '';

/** Chooses whose way through the stations is highlighted, with their share of the work. */
export function FollowOne({
  shares,
  followed,
  nameOf,
  onFollow,
}: {
  /** Of the whole session. */
  shares: readonly Share[];
  followed: string | null;
  nameOf: (athleteId: string) => string;
  onFollow: (athleteId: string | null) => void;
}): ReactElement {
  const own = shares.find(({ athleteId }) => athleteId === followed);
  return (
    <Row>
      <div className="whom">
        <SelectField
          label={say('follow')}
          value={followed ?? NOBODY}
          options={[
            [NOBODY, say('followNobody')],
            ...shares.map(({ athleteId }) => [athleteId, nameOf(athleteId)] as const),
          ]}
          onChange={(id) => onFollow(id === NOBODY ? null : id)}
        />
      </div>
      <p role="status">
        {own
          ? say('shareOf', {
              ...{ name: nameOf(own.athleteId), works: own.works, helps: own.helps },
              work: minutesOf(own.worksS),
              waits: minutesOf(own.waitsS),
            })
          : say('everyoneShare', {
              works: Math.min(...shares.map(({ works }) => works)),
              work: minutesOf(Math.min(...shares.map(({ worksS }) => worksS))),
              waits: minutesOf(Math.max(...shares.map(({ waitsS }) => waitsS))),
            })}
      </p>
    </Row>
  );
}
