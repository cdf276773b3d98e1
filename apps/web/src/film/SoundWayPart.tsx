import type { SoundWay } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { Fields } from '../parts/form/Fields.js';
import { NumberField } from '../parts/form/NumberFields.js';
import { Quiet } from '../parts/Text.js';
import { say } from '../words/film.js';

/** Where nothing is said, camera and athlete are taken to hear a cue together. */
export const HEARD_TOGETHER: SoundWay = { toCameraM: 0, toAthleteM: 0 };

const FARTHEST_M = 60;

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
      <NumberField
        label={say('toCamera')}
        unit="m"
        decimals={1}
        min={0}
        max={FARTHEST_M}
        value={way.toCameraM}
        onChange={(toCameraM) => onChange({ ...way, toCameraM })}
      />
      <NumberField
        label={say('toAthlete')}
        unit="m"
        decimals={1}
        min={0}
        max={FARTHEST_M}
        value={way.toAthleteM}
        onChange={(toAthleteM) => onChange({ ...way, toAthleteM })}
      />
    </Fields>
  </details>
);
