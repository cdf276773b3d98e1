import type { SoundWay } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { Fields } from '../../parts/form/Fields.js';
import { NumberField } from '../../parts/form/NumberFields.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/film.js';

const FARTHEST_M = 60;
const WAYS = [
  ['toCameraM', say('toCamera')],
  ['toAthleteM', say('toAthlete')],
] as const;

/** How far the cue's sound goes to the camera and to the athlete. */
export const SoundWayPart = ({
  way,
  onChange,
}: {
  way: SoundWay;
  onChange: (way: SoundWay) => void;
}): ReactElement => (
  <details style={{ marginTop: 10 }}>
    <summary>{say('soundTakesTime')}</summary>
    <Quiet style={{ fontSize: 15 }}>{say('soundTakesTimeHow')}</Quiet>
    <Fields>
      {WAYS.map(([end, words]) => (
        <NumberField
          key={end}
          label={words}
          unit="m"
          decimals={1}
          min={0}
          max={FARTHEST_M}
          value={way[end]}
          onChange={(metres) => onChange({ ...way, [end]: metres })}
        />
      ))}
    </Fields>
  </details>
);
