import type { ImportedSet, RowProblem } from '@orthokin/core/formats';
import { median } from '@orthokin/core/numeric';
import { problemSentence } from '@orthokin/core/result';
import { durationsOf } from '@orthokin/core/timing';
import type { ReactElement } from 'react';
import { seconds } from '../../words/format.js';
import { Quiet } from '../../parts/Text.js';
import { FiguresTable } from '../../parts/FiguresTable.js';
import { say } from '../../words/review.js';

const MOST_SHOWN = 30;
const TIMES = ['reaction', 'response', 'recovery', 'cycle'] as const;

const medianOf = ({ reps }: ImportedSet, name: (typeof TIMES)[number]): string => {
  const times = reps.flatMap(({ events }) => durationsOf(events)[name]?.ms ?? []);
  return times.length > 0 ? seconds(median(times)) : '–';
};

/** Previews an import: the sets with their medians, and every row left out, with the reason. */
export function ImportPreview({
  sets,
  problems,
  rows,
}: {
  sets: readonly ImportedSet[];
  problems: readonly RowProblem[];
  rows: number;
}): ReactElement {
  const bad = new Set(problems.map(({ row }) => row)).size;
  return (
    <>
      <p role="status">{say('rowsRows2CanStoredBadCannot', { rows, rows2: rows - bad, bad })}</p>
      {sets.length > 0 && (
        <FiguresTable caption={say('whatWouldStoredMediansSeconds')}>
          <thead>
            <tr>
              {['athlete', 'day', 'set', 'reps', ...TIMES].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sets.slice(0, MOST_SHOWN).map((set) => (
              <tr key={`${set.athlete} ${set.day} ${set.set}`}>
                <th scope="row">{set.athlete}</th>
                <td>{set.day}</td>
                <td>{set.set}</td>
                <td>{set.reps.length}</td>
                {TIMES.map((name) => (
                  <td key={name}>{medianOf(set, name)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </FiguresTable>
      )}
      {sets.length > MOST_SHOWN && (
        <Quiet>{say('setsMoreSets', { sets: sets.length - MOST_SHOWN })}</Quiet>
      )}
      {problems.length > 0 && (
        <>
          <p>
            <strong>{say('rowsStayOut')}</strong>
          </p>
          <ul aria-label={say('rowsStayOut2')}>
            {problems.slice(0, MOST_SHOWN).map((problem) => (
              <li key={`${problem.row} ${problem.field}`}>
                {say('rowRowProblemsentence', {
                  row: problem.row,
                  problemSentence: problemSentence(problem),
                })}
              </li>
            ))}
          </ul>
          {problems.length > MOST_SHOWN && (
            <Quiet>
              {say('problemsMoreMendTheseFirst', { problems: problems.length - MOST_SHOWN })}
            </Quiet>
          )}
        </>
      )}
    </>
  );
}
