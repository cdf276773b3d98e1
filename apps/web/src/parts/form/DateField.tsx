import { parseDate, type CalendarDate } from '@internationalized/date';
import type { ReactElement } from 'react';
import {
  DateField as Field,
  DateInput,
  DateSegment,
  I18nProvider,
  Label,
} from 'react-aria-components';
import styled from 'styled-components';
import { DAY_LOCALE } from '../../words/locale.js';
import { colour, FONT } from '../tokens.js';

const Box = styled(Field<CalendarDate>)`
  display: grid;
  gap: 3px;
  min-width: 0;
  label,
  .react-aria-Label {
    font-size: 15px;
    color: ${colour('quiet')};
  }
  .react-aria-DateInput {
    display: flex;
    min-height: 40px;
    padding: 6px 9px;
    border: 1.5px solid ${colour('rule')};
    border-radius: 4px;
    background: ${colour('raised')};
    font: 500 16px/1.6 ${FONT};
  }
  .react-aria-DateSegment {
    padding: 0 2px;
    border-radius: 3px;
    outline: none;
  }
  .react-aria-DateSegment[data-placeholder] {
    color: ${colour('quiet')};
  }
  .react-aria-DateSegment[data-focused] {
    background: ${colour('ink')};
    color: ${colour('paper')};
  }
`;

/** A calendar day, `YYYY-MM-DD`, entered part by part; `null` while incomplete. */
export const DateField = ({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string | null;
  onChange: (day: string | null) => void;
}): ReactElement => (
  <I18nProvider locale={DAY_LOCALE}>
    <Box
      value={value === null ? null : parseDate(value)}
      onChange={(day) => onChange(day?.toString() ?? null)}
    >
      <Label>{label}</Label>
      <DateInput>{(segment) => <DateSegment segment={segment} />}</DateInput>
    </Box>
  </I18nProvider>
);
