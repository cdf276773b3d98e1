import type { AthleteCourseReply } from '@orthokin/contract';
import type { SeasonDay } from '@orthokin/core/stats';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { Button } from '../../parts/Button.js';
import { colour } from '../../parts/tokens.js';
import { dayWords, secondsWithUnit, timeWords } from '../../words/format.js';
import { say } from '../../words/season.js';

const Day = styled.section`
  margin-top: 14px;
  padding: 14px 18px;
  border: 1.5px solid ${colour('rule')};
  border-radius: 5px;
  background: ${colour('raised')};
  h3 {
    margin: 0 0 6px;
    font-size: 18px;
  }
  ul {
    margin: 0 0 10px;
    padding: 0;
    list-style: none;
  }
  li {
    padding: 6px 0;
    border-top: 1px solid ${colour('rule')};
  }
`;

/** A day of the season, opened: its sets, and what was noted. */
export function SeasonDayPart({
  course,
  day,
  onClose,
}: {
  course: AthleteCourseReply;
  day: SeasonDay;
  onClose: () => void;
}): ReactElement {
  const notes = (setId: string) => course.notes.filter((note) => note.setId === setId);
  return (
    <Day aria-label={dayWords(`${day.day}T12:00:00`)}>
      <h3>{say('theDay', { day: dayWords(`${day.day}T12:00:00`), rung: day.rung })}</h3>
      {day.isTest && <p>{say('aTest')}</p>}
      <ul>
        {day.sets.map(({ setId, atMs, figures }) => (
          <li key={setId}>
            <Link to={`/review/${setId}`}>
              {say('setAt', { time: timeWords(new Date(atMs).toISOString()) })}
            </Link>
            {', '}
            {say('setFigures', {
              cycle:
                figures.mediansMs.cycle === undefined
                  ? say('noCycle')
                  : secondsWithUnit(figures.mediansMs.cycle),
              counted: figures.counted,
            })}
            {notes(setId).map(({ text }) => (
              <p key={text} style={{ margin: '4px 0 0' }}>
                {text}
              </p>
            ))}
          </li>
        ))}
      </ul>
      <Button onPress={onClose}>{say('closeDay')}</Button>
    </Day>
  );
}
