import type { SetSource } from '@orthokin/core/run';
import type { ReactElement } from 'react';
import { Label, RadioButton, RadioField, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { seconds } from '../../words/format.js';
import { colour } from '../../parts/tokens.js';
import { say } from '../../words/floor.js';

const Options = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(290px, 1fr));
  gap: 10px;
  .react-aria-RadioButton {
    display: block;
    height: 100%;
    padding: 10px 14px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    cursor: pointer;
    small {
      display: block;
      font-size: 15px;
      line-height: 1.3;
      color: ${colour('quiet')};
    }
  }
  .react-aria-RadioButton[data-selected] {
    border-color: ${colour('ink')};
    box-shadow: inset 0 0 0 1.5px ${colour('ink')};
    background: ${colour('raised')};
  }
  .react-aria-RadioButton[data-focus-visible] {
    outline: 3px solid ${colour('focus')};
    outline-offset: 2px;
  }
`;

interface Source {
  readonly value: SetSource;
  readonly name: string;
  readonly about: string;
}

/** Chooses what times the set. */
export function SourcePart({
  source,
  handSdMs,
  onChange,
}: {
  source: SetSource;
  /** This person's timing error on this device. */
  handSdMs: number;
  onChange: (source: SetSource) => void;
}): ReactElement {
  const sources: readonly Source[] = [
    {
      value: 'hand',
      name: say('hand'),
      about: say('youPressFirstMoveActionHome', { handSdMs: seconds(handSdMs) }),
    },
    {
      value: 'sensor',
      name: say('beacons'),
      about: say('cueLightsMatsMarkersTimeArrival'),
    },
    { value: 'none', name: say('cuesOnly'), about: say('nobodyTimesFilmMarkLater') },
    {
      value: 'simulated',
      name: say('simulatedAthlete'),
      about: say('movesDrawnFloorTryingSetOut'),
    },
  ];
  return (
    <RadioGroup value={source} onChange={(value) => onChange(value as SetSource)}>
      <Label>{say('timed')}</Label>
      <Options>
        {sources.map(({ value, name, about }) => (
          <RadioField key={value} value={value}>
            <RadioButton>
              {name}
              <small>{about}</small>
            </RadioButton>
          </RadioField>
        ))}
      </Options>
    </RadioGroup>
  );
}
