import type { RepReading } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { CountField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { ALIGN_WORDS } from '../../parts/ribbon/Axis.js';
import { ALIGN_AT } from '../../parts/ribbon/scale.js';
import { timedBy } from '../../words/verdict.js';
import { SORTS, type SetView } from './useSetView.js';
import { say } from '../../words/review.js';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  margin: 18px 0 4px;
  > * {
    flex: 0 1 168px;
  }
`;

/** Alignment, order and comparison of the ribbons. */
export function ViewControls({
  readings,
  view,
  onChange,
}: {
  readings: readonly RepReading[];
  view: SetView;
  onChange: (change: Partial<SetView>) => void;
}): ReactElement {
  const ordinals = readings.map(({ rep }) => rep.ordinal);
  const isRep = view.reference !== 'none' && view.reference !== 'median';
  const timers = [...new Set(readings.map(timedBy))].filter((each) => each !== '');
  return (
    <Row className="no-print">
      <SelectField
        label={say('lineUp')}
        value={view.at}
        options={ALIGN_AT.map((at) => [at, ALIGN_WORDS[at]] as const)}
        onChange={(at) => onChange({ at })}
      />
      <SelectField
        label={say('sort')}
        value={view.sort}
        options={SORTS}
        onChange={(sort) => onChange({ sort })}
      />
      <SelectField
        label={say('compare')}
        value={isRep ? 'rep' : view.reference}
        options={[
          ['none', 'nothing'],
          ['median', say('middleSet')],
          ['rep', say('oneItsReps')],
        ]}
        onChange={(reference) =>
          onChange({ reference: reference === 'rep' ? String(ordinals[0] ?? 1) : reference })
        }
      />
      {isRep && (
        <CountField
          label={say('referenceRep')}
          value={Number(view.reference)}
          min={Math.min(...ordinals)}
          max={Math.max(...ordinals)}
          onChange={(ordinal) => onChange({ reference: String(ordinal) })}
        />
      )}
      {timers.length > 1 && (
        <SelectField
          label={say('timed2')}
          value={view.by}
          options={[['all', 'anything'], ...timers.map((each) => [each, each] as const)]}
          onChange={(by) => onChange({ by })}
        />
      )}
    </Row>
  );
}
