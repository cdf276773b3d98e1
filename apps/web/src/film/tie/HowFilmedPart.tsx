import { SLOW_FACTORS, type SlowFactor } from '@orthokin/core/film';
import type { ReactElement } from 'react';
import { Fields } from '../../parts/form/Fields.js';
import { NumberField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/film.js';
import type { Tie } from './useTie.js';

const FARTHEST_M = 60;
const WAYS = [
  ['toCameraM', say('toCamera')],
  ['toAthleteM', say('toAthlete')],
] as const;

/** Value for "as the cues or the file say". */
const FOUND = 'found';
const SLOWED: readonly (readonly [string, string])[] = [
  [FOUND, say('slowedAsFound')],
  ...SLOW_FACTORS.map((factor) => [String(factor), say('slowedBy', { factor })] as const),
];
const factorOf = (chosen: string): SlowFactor | null =>
  SLOW_FACTORS.find((factor) => String(factor) === chosen) ?? null;

/** What the coach may know better than the file: slow motion, and the sound's distances. */
export const HowFilmedPart = ({ tie }: { tie: Tie }): ReactElement => (
  <details style={{ marginTop: 10 }}>
    <summary>{say('howFilmed')}</summary>
    <Fields>
      <SelectField
        label={say('slowMotion')}
        value={String(tie.slowed ?? FOUND)}
        options={SLOWED}
        onChange={(chosen) => tie.setSlowed(factorOf(chosen))}
      />
    </Fields>
    {tie.isHeard && (
      <>
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
              value={tie.way[end]}
              onChange={(metres) => tie.setWay({ ...tie.way, [end]: metres })}
            />
          ))}
        </Fields>
      </>
    )}
  </details>
);
