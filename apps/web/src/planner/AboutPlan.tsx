import { LONGEST_NAME } from '@orthokin/core/people';
import { SESSION_MINUTES } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { DateField } from '../parts/form/DateField.js';
import { CountField } from '../parts/form/NumberFields.js';
import { TextField } from '../parts/form/TextField.js';
import { TimeField } from '../parts/form/TimeField.js';
import { MIDDLE } from '../parts/tokens.js';
import { say } from '../words/plan.js';
import type { Planned } from './planned.js';

const Fields = styled.div`
  display: grid;
  grid-template-columns: minmax(180px, 1.6fr) repeat(3, minmax(110px, 1fr));
  gap: 12px 16px;
  margin: 18px 0;
  @media (max-width: ${MIDDLE}) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`;

const [LEAST_MINUTES, MOST_MINUTES] = SESSION_MINUTES;

/** What a session is called, when it begins and how long there is. */
export const AboutPlan = ({
  planned: { name, day, startsAt, minutes },
  onChange,
}: {
  planned: Planned;
  onChange: (part: Partial<Planned>) => void;
}): ReactElement => (
  <Fields>
    <TextField
      label={say('name')}
      value={name}
      maxLength={LONGEST_NAME}
      required
      onChange={(to) => onChange({ name: to })}
    />
    <DateField
      label={say('day')}
      value={day}
      onChange={(to) => to !== null && onChange({ day: to })}
    />
    <TimeField
      label={say('startsAt')}
      value={startsAt}
      onChange={(to) => onChange({ startsAt: to })}
    />
    <CountField
      label={say('timeThereIs')}
      value={minutes}
      min={LEAST_MINUTES}
      max={MOST_MINUTES}
      onChange={(to) => onChange({ minutes: to })}
    />
  </Fields>
);
