import type { PlanReply } from '@orthokin/contract';
import {
  daysLater,
  HOME_MINUTES,
  LONGEST_WEEK_NOTE,
  THEMES,
  WEEK_KINDS,
  type ProgrammeWeek,
} from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import styled from 'styled-components';
import { CountField } from '../../parts/form/NumberFields.js';
import { SelectField } from '../../parts/form/SelectField.js';
import { TextField } from '../../parts/form/TextField.js';
import { Heading } from '../../parts/Text.js';
import { colour, MIDDLE } from '../../parts/tokens.js';
import { dateWords } from '../../words/format.js';
import { say, themeWords, weekKindWords } from '../../words/weeks.js';
import { DayList } from './DayList.js';

const Row = styled.section`
  margin-top: 18px;
  padding-top: 8px;
  border-top: 2px solid ${colour('ink')};
  &[data-off] {
    border-top-style: dashed;
  }
  &[data-now] {
    border-top-color: ${colour('accent')};
  }
  .about {
    display: grid;
    grid-template-columns: 190px 170px 110px minmax(0, 1fr);
    gap: 6px 14px;
    margin: 6px 0 10px;
  }
  .days {
    display: grid;
    grid-template-columns: repeat(7, minmax(0, 1fr));
    gap: 8px;
  }
  @media (max-width: ${MIDDLE}) {
    .about {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    .days {
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
    }
  }
`;

const THEME_OPTIONS = THEMES.map((theme) => [theme, themeWords(theme)] as const);
const KIND_OPTIONS = WEEK_KINDS.map((kind) => [kind, weekKindWords(kind)] as const);
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/** A week: its theme, and its days with their sessions. */
export function WeekRow({
  place,
  monday,
  week,
  sessions,
  isNow,
  onChange,
  onMove,
}: {
  /** Index of the week, from 0. */
  place: number;
  monday: string;
  week: ProgrammeWeek;
  sessions: readonly PlanReply[];
  isNow: boolean;
  onChange: (week: ProgrammeWeek) => void;
  onMove: (planId: string, day: string) => void;
}): ReactElement {
  const name = say(isNow ? 'weekNow' : 'weekOf', { n: place + 1, day: dateWords(monday) });
  return (
    <Row
      aria-label={name}
      data-off={week.kind === 'off' || undefined}
      data-now={isNow || undefined}
    >
      <Heading>{name}</Heading>
      <div className="about">
        <SelectField
          label={say('theme')}
          value={week.theme}
          options={THEME_OPTIONS}
          onChange={(theme) => onChange({ ...week, theme })}
        />
        <SelectField
          label={say('kind')}
          value={week.kind}
          options={KIND_OPTIONS}
          onChange={(kind) => onChange({ ...week, kind })}
        />
        <CountField
          label={say('homeMinutes')}
          value={week.homeMinutes}
          min={HOME_MINUTES[0]}
          max={HOME_MINUTES[1]}
          onChange={(homeMinutes) => onChange({ ...week, homeMinutes })}
        />
        <TextField
          label={say('note')}
          value={week.note}
          maxLength={LONGEST_WEEK_NOTE}
          onChange={(note) => onChange({ ...week, note })}
        />
      </div>
      <div className="days">
        {DAYS.map((weekday) => {
          const day = daysLater(monday, weekday);
          return (
            <DayList
              key={day}
              day={day}
              sessions={sessions.filter((session) => session.day === day)}
              onMove={(planId) => onMove(planId, day)}
            />
          );
        })}
      </div>
    </Row>
  );
}
