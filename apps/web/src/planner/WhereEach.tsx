import { overStations, stationGroups, thoseIn, type Stay } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { Button } from '../parts/Button.js';
import { SelectField } from '../parts/form/SelectField.js';
import { Quiet } from '../parts/Text.js';
import { say } from '../words/plan.js';
import type { OfBlock } from './of-block.js';
import { useByRung } from './useByRung.js';
import { People } from './People.js';

const WAYS = [
  ['anywhere', say('anywhere')],
  ['stays', say('stays')],
] as const;

/** Assigns stations: wherever there is room, or a fixed one each, with athletes of similar rungs together. */
export function WhereEach({
  block,
  athleteIds,
  nameOf,
  onChange,
}: OfBlock & {
  onChange: (stays: readonly Stay[] | null) => void;
}): ReactElement {
  const inOrder = useByRung();
  const does = thoseIn(block, athleteIds);
  const groups = stationGroups({ ...block, athleteIds: does });
  const byRung = () => onChange(overStations(inOrder(does), block.stations));
  const put = (athleteId: string, station: number) =>
    onChange([
      ...(block.stays ?? []).filter((stay) => stay.athleteId !== athleteId),
      { athleteId, station },
    ]);
  return (
    <>
      <SelectField
        label={say('where')}
        value={groups ? 'stays' : 'anywhere'}
        options={WAYS}
        onChange={(way) => (way === 'stays' ? byRung() : onChange(null))}
      />
      {groups && (
        <>
          {groups.map((ids, i) => (
            <People key={i} role="group" aria-label={say('atStation', { n: i + 1 })}>
              <span>{say('station', { n: i + 1 })}</span>
              {ids.map((id) => (
                <button
                  key={id}
                  type="button"
                  aria-label={say('putOn', { name: nameOf(id), n: i + 1 })}
                  aria-pressed
                  onClick={() => put(id, ((i + 1) % groups.length) + 1)}
                >
                  {nameOf(id)}
                </button>
              ))}
            </People>
          ))}
          <div style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 12 }}>
            <Button onPress={byRung}>{say('byRung')}</Button>
            <Quiet as="span">{say('byRungMeans')}</Quiet>
          </div>
        </>
      )}
    </>
  );
}
