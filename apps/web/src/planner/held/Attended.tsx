import type { AttendedBody } from '@orthokin/contract';
import { EFFORT, SESSION_MINUTES } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { FiguresTable } from '../../parts/FiguresTable.js';
import { NumberField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { say } from '../../words/session.js';

const NOT_ASKED = '';
const EFFORTS = Array.from({ length: EFFORT[1] - EFFORT[0] + 1 }, (_, i) => String(EFFORT[0] + i));

/** Who was there, for how long, and how hard it was for each. */
export const Attended = ({
  attended,
  nameOf,
  onChange,
}: {
  attended: readonly AttendedBody[];
  nameOf: (athleteId: string) => string;
  onChange: (athleteId: string, part: Partial<AttendedBody>) => void;
}): ReactElement => (
  <FiguresTable caption={say('whoWasThere')}>
    <thead>
      <tr>
        <th scope="col">{say('who')}</th>
        <th scope="col">{say('minutes')}</th>
        <th scope="col">{say('effortColumn')}</th>
      </tr>
    </thead>
    <tbody>
      {attended.map(({ athleteId, minutes, effort }) => (
        <tr key={athleteId}>
          <th scope="row">{nameOf(athleteId)}</th>
          <td style={{ width: 110 }}>
            <NumberField
              label={say('minutesOf', { name: nameOf(athleteId) })}
              hideLabel
              value={minutes}
              unit=""
              min={1}
              max={SESSION_MINUTES[1]}
              onChange={(value) => onChange(athleteId, { minutes: value })}
            />
          </td>
          <td style={{ width: 140 }}>
            <SelectField
              label={say('effortOf', { name: nameOf(athleteId) })}
              hideLabel
              value={effort === null ? NOT_ASKED : String(effort)}
              options={[
                [NOT_ASKED, say('notAsked')] as const,
                ...EFFORTS.map((step) => [step, step] as const),
              ]}
              onChange={(step) =>
                onChange(athleteId, { effort: step === NOT_ASKED ? null : Number(step) })
              }
            />
          </td>
        </tr>
      ))}
    </tbody>
  </FiguresTable>
);
