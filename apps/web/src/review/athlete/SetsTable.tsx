import type { AthleteCourseReply } from '@orthokin/contract';
import { COURSE_DURATIONS } from '@orthokin/core/stats';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { dayWords, seconds, timeWords } from '../../words/format.js';
import { FiguresTable, WordsCell, WordsHead } from '../../parts/FiguresTable.js';
import type { Kind } from '../course-view.js';
import { say } from '../../words/review.js';

/** Every set of a kind in figures, newest first: what the chart is drawn from. */
export function SetsTable({
  course,
  kind,
}: {
  course: AthleteCourseReply;
  kind: Kind;
}): ReactElement {
  const present = COURSE_DURATIONS.filter((name) =>
    kind.sets.some(({ figures }) => figures.mediansMs[name] !== undefined),
  );
  return (
    <FiguresTable caption={say('setSetMediansSeconds')}>
      <thead>
        <tr>
          <th scope="col">{say('set2')}</th>
          <th scope="col">{say('rung')}</th>
          {present.map((name) => (
            <th key={name} scope="col">
              {name}
            </th>
          ))}
          <th scope="col">{say('counted')}</th>
          <th scope="col">{say('clean')}</th>
          <th scope="col">{say('falseStarts')}</th>
          <th scope="col">{say('catchesHeld')}</th>
          <WordsHead scope="col">{say('outcome')}</WordsHead>
          <WordsHead scope="col">{say('notes2')}</WordsHead>
        </tr>
      </thead>
      <tbody>
        {[...kind.sets].reverse().map(({ setId, atMs, rung, figures, outcome }) => {
          const at = new Date(atMs).toISOString();
          return (
            <tr key={setId}>
              <th scope="row">
                <Link to={`/review/${setId}`}>
                  {dayWords(at)} {timeWords(at)}
                </Link>
              </th>
              <td>{rung}</td>
              {present.map((name) => {
                const ms = figures.mediansMs[name];
                return <td key={name}>{ms === undefined ? '–' : seconds(ms)}</td>;
              })}
              <td>{figures.counted}</td>
              <td>
                {figures.clean}/{figures.cued}
              </td>
              <td>{figures.falseStarts}</td>
              <td>{figures.catchOf === 0 ? '–' : `${figures.catchHeld}/${figures.catchOf}`}</td>
              <WordsCell>{outcome}</WordsCell>
              <WordsCell>
                {course.notes
                  .filter((note) => note.setId === setId)
                  .map(({ text }) => text)
                  .join(' ')}
              </WordsCell>
            </tr>
          );
        })}
      </tbody>
    </FiguresTable>
  );
}
