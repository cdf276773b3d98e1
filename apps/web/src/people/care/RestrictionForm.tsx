import type { RestrictionBody } from '@orthokin/contract';
import { SIDES } from '@orthokin/core/floor';
import {
  checkRestriction,
  DAILY_RESTRICTIONS,
  LONGEST_CARE_NOTE,
  MOST_A_DAY,
  MOVES,
  RESTRICTION_KINDS,
  SIDED_RESTRICTIONS,
  type RestrictionKind,
} from '@orthokin/core/people';
import { problemSentence } from '@orthokin/core/result';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { CheckField } from '../../parts/form/CheckField.js';
import { DateField } from '../../parts/form/DateField.js';
import { Fields, WideField } from '../../parts/form/Fields.js';
import { CountField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { OpenField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { Quiet } from '../../parts/Text.js';
import { colour } from '../../parts/tokens.js';
import { MOVE_WORDS, RESTRICTION_KIND_WORDS } from '../../words/care.js';
import { capital } from '../../words/format.js';
import { say, SIDE_WORDS } from '../../words/people.js';
import { today } from '../today.js';

const Form = styled.div`
  display: grid;
  gap: 14px;
  max-width: 720px;
  padding: 16px 18px;
  border: 1.5px solid ${colour('rule')};
  border-radius: 4px;
  .moves {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 22px;
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
`;

const KINDS = RESTRICTION_KINDS.map(
  (kind) => [kind, capital(RESTRICTION_KIND_WORDS[kind])] as const,
);
const LEGS = [
  ['both', say('bothLegs')] as const,
  ...SIDES.map((side) => [side, SIDE_WORDS[side]] as const),
];
const USUAL_MOST = { 'minutes a day': 20, 'splits a day': 40 } as const;

/** An empty restriction of a kind. */
function ofKind(kind: RestrictionKind, before: RestrictionBody): RestrictionBody {
  const daily = DAILY_RESTRICTIONS.find((each) => each === kind);
  return {
    ...{ ...before, kind, moves: [] },
    leg: SIDED_RESTRICTIONS.includes(kind) ? before.leg : null,
    most: daily ? USUAL_MOST[daily] : null,
  };
}

/** Edits a restriction: what, from when, until when, and who may lift it. */
export function RestrictionForm({
  isPending,
  onSave,
  onCancel,
}: {
  isPending: boolean;
  onSave: (restriction: RestrictionBody) => void;
  onCancel: () => void;
}): ReactElement {
  const [body, setBody] = useState<RestrictionBody>({
    ...{ kind: 'no jumping', leg: null, moves: [], most: null },
    ...{ from: today(), until: null, clinician: false, note: '' },
  });
  const set = (change: Partial<RestrictionBody>) => setBody({ ...body, ...change });
  const { kind, leg, moves, most, from, until } = body;
  const checked = checkRestriction(body);
  return (
    <Form role="group" aria-label={say('addRestriction')}>
      <Fields>
        <SelectField
          label={say('whatNot')}
          value={kind}
          options={KINDS}
          onChange={(chosen) => setBody(ofKind(chosen, body))}
        />
        {SIDED_RESTRICTIONS.includes(kind) && (
          <SelectField
            label={say('leg')}
            value={leg ?? 'both'}
            options={LEGS}
            onChange={(side) => set({ leg: side === 'both' ? null : side })}
          />
        )}
        {most !== null && (
          <CountField
            label={say('atMost')}
            value={most}
            min={1}
            max={MOST_A_DAY}
            onChange={(count) => set({ most: count })}
          />
        )}
        <DateField
          label={say('from')}
          value={from}
          onChange={(day) => day !== null && set({ from: day })}
        />
        <DateField label={say('until')} value={until} onChange={(day) => set({ until: day })} />
      </Fields>
      {kind === 'only what is listed' && (
        <div className="moves" role="group" aria-label={say('whatMay')}>
          {MOVES.map((move) => (
            <CheckField
              key={move}
              isSelected={moves.includes(move)}
              onChange={(isOn) =>
                set({ moves: MOVES.filter((one) => (one === move ? isOn : moves.includes(one))) })
              }
            >
              {MOVE_WORDS[move]}
            </CheckField>
          ))}
        </div>
      )}
      {kind === 'no head contact' && <Quiet>{say('headContactGoesByTag')}</Quiet>}
      <WideField>
        <OpenField
          label={say('whyAndWhose')}
          value={body.note}
          maxLength={LONGEST_CARE_NOTE}
          onChange={(note) => set({ note })}
        />
      </WideField>
      <CheckField isSelected={body.clinician} onChange={(clinician) => set({ clinician })}>
        {say('clinicianMustClear')}
      </CheckField>
      {!checked.ok && <Notice>{problemSentence(checked.problem)}</Notice>}
      <div className="ways">
        <Button
          weight="main"
          isDisabled={!checked.ok || isPending}
          onPress={() => onSave({ ...body, note: body.note.trim() })}
        >
          {say('writeRestriction')}
        </Button>
        <Button onPress={onCancel}>{say('leave')}</Button>
      </div>
    </Form>
  );
}
