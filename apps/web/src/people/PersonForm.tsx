import type { AthleteBody } from '@orthokin/contract';
import { COLOUR_VISIONS, lengthWords, SIDES, type LengthUnit } from '@orthokin/core/floor';
import {
  AGE_BANDS,
  ageBandOn,
  BODY_BOUNDS_M,
  LONGEST_ATHLETE_NOTE,
  LONGEST_CALLED,
  LONGEST_GOAL,
  LONGEST_NAME,
  LONGEST_SPORT,
  usualLengths,
} from '@orthokin/core/people';
import type { ReactElement } from 'react';
import { Button } from '../parts/Button.js';
import { DateField } from '../parts/form/DateField.js';
import { Fields, WideField } from '../parts/form/Fields.js';
import { OptionalLengthField } from '../parts/form/NumberFields.js';
import { SelectField } from '../parts/form/SelectField.js';
import { OpenField } from '../parts/form/TextField.js';
import { Heading, Quiet } from '../parts/Text.js';
import { EmergencyFields } from './EmergencyFields.js';
import { ReachesFields } from './ReachesFields.js';
import { today } from './today.js';
import { COLOUR_WORDS, say, SIDE_WORDS } from '../words/people.js';

const HANDS = SIDES.map((side) => [side, SIDE_WORDS[side]] as const);
const FEET = [['', say('notKnown')] as const, ...HANDS];
const COLOURS = COLOUR_VISIONS.map((vision) => [vision, COLOUR_WORDS[vision]] as const);

/** Edits an athlete; only the name is required. */
export function PersonForm({
  body,
  patterns,
  unit,
  onChange,
}: {
  body: AthleteBody;
  patterns: readonly (readonly [id: string, name: string])[];
  unit: LengthUnit;
  onChange: (body: AthleteBody) => void;
}): ReactElement {
  const set = (change: Partial<AthleteBody>) => onChange({ ...body, ...change });
  const usual = body.heightM ? usualLengths(body.heightM) : null;
  const hint = (metres: number | undefined) =>
    metres === undefined ? undefined : say('aboutFor', { length: lengthWords(metres, unit) });
  const length = (
    name: 'heightM' | 'shoulderM' | 'hipM' | 'reachM',
    label: string,
    about?: string,
  ) => (
    <OptionalLengthField
      {...{ label, unit, hint: body[name] == null ? about : undefined }}
      min={BODY_BOUNDS_M[name][0]}
      max={BODY_BOUNDS_M[name][1]}
      value={body[name] ?? null}
      onChange={(metres) => set({ [name]: metres })}
    />
  );
  return (
    <>
      <Fields>
        <WideField>
          <OpenField
            label={say('name')}
            value={body.name}
            maxLength={LONGEST_NAME}
            autoFocus
            onChange={(name) => set({ name })}
          />
        </WideField>
        <SelectField
          label={say('hand')}
          value={body.hand}
          options={HANDS}
          onChange={(hand) => set({ hand })}
        />
        {body.bornOn ? (
          <Quiet>
            {say('bandToday', { ageBand: ageBandOn(body.bornOn, today()) })}{' '}
            <Button onPress={() => set({ bornOn: null })}>{say('forgetBirth')}</Button>
          </Quiet>
        ) : (
          <SelectField
            label={say('ageBand')}
            value={body.ageBand}
            options={AGE_BANDS}
            onChange={(ageBand) => set({ ageBand })}
          />
        )}
        <DateField
          label={say('bornOn')}
          value={body.bornOn ?? null}
          onChange={(bornOn) => set({ bornOn })}
        />
        <SelectField
          label={say('colourVision')}
          value={body.colourVision}
          options={COLOURS}
          onChange={(colourVision) => set({ colourVision })}
        />
        <SelectField
          label={say('foot')}
          value={body.foot ?? ''}
          options={FEET}
          onChange={(foot) => set({ foot: foot === '' ? null : foot })}
        />
        <OpenField
          label={say('called')}
          value={body.called ?? ''}
          maxLength={LONGEST_CALLED}
          onChange={(called) => set({ called: called || null })}
        />
        <OpenField
          label={say('sports')}
          value={body.sports ?? ''}
          maxLength={LONGEST_SPORT}
          onChange={(sports) => set({ sports: sports || null })}
        />
        {patterns.length > 1 && (
          <SelectField
            label={say('pattern')}
            value={body.patternId}
            options={patterns}
            onChange={(patternId) => set({ patternId })}
          />
        )}
      </Fields>
      <Heading style={{ marginTop: 26 }}>{say('body')}</Heading>
      <Quiet style={{ marginBottom: 10 }}>{say('bodyMeans')}</Quiet>
      <Fields style={{ alignItems: 'start' }}>
        {length('heightM', say('height'))}
        {length('shoulderM', say('shoulder'), hint(usual?.shoulderM))}
        {length('hipM', say('hip'), hint(usual?.hipM))}
        {length(
          'reachM',
          say('reach'),
          usual ? say('armAboutFor', { length: lengthWords(usual.armM, unit) }) : undefined,
        )}
        <ReachesFields
          reaches={body.reaches ?? null}
          unit={unit}
          onChange={(reaches) => set({ reaches })}
        />
      </Fields>
      <Heading style={{ marginTop: 26 }}>{say('emergency')}</Heading>
      <EmergencyFields
        emergency={body.emergency ?? null}
        onChange={(emergency) => set({ emergency })}
      />
      <Fields style={{ marginTop: 22 }}>
        <WideField>
          <OpenField
            label={say('goal')}
            value={body.goal ?? ''}
            maxLength={LONGEST_GOAL}
            onChange={(goal) => set({ goal: goal || null })}
          />
        </WideField>
        <WideField>
          <OpenField
            label={say('note')}
            rows={3}
            value={body.note ?? ''}
            maxLength={LONGEST_ATHLETE_NOTE}
            onChange={(note) => set({ note: note || null })}
          />
        </WideField>
      </Fields>
    </>
  );
}
