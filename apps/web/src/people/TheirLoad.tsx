import { loadRises } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { useLoads } from '../api/sessions.js';
import { FiguresTable } from '../parts/FiguresTable.js';
import { Heading, Quiet } from '../parts/Text.js';
import { dateWords } from '../words/format.js';
import { riseWords, say } from '../words/session.js';
import { today } from './today.js';

const figure = (value: number | null | undefined): string => (value == null ? '–' : String(value));

/** An athlete's load over five weeks, with what has jumped; nothing if there is none. */
export function TheirLoad({
  athleteId,
  name,
}: {
  athleteId: string;
  name: string;
}): ReactElement | null {
  const { data = [] } = useLoads(today());
  const weeks = data.find((one) => one.athleteId === athleteId)?.weeks ?? [];
  if (!weeks.some(({ minutes, movements }) => minutes > 0 || movements)) return null;
  const [rise] = loadRises(weeks);
  return (
    <section>
      <Heading>{say('load')}</Heading>
      {rise && <p>{riseWords([{ name, rise }])}</p>}
      <FiguresTable caption={say('loadCaption')}>
        <thead>
          <tr style={{ whiteSpace: 'normal' }}>
            <th scope="col">{say('week')}</th>
            <th scope="col">{say('weekMinutes')}</th>
            <th scope="col">{say('weekEffort')}</th>
            <th scope="col">{say('weekSplits')}</th>
            <th scope="col">{say('weekLunges')}</th>
            <th scope="col">{say('weekJumps')}</th>
          </tr>
        </thead>
        <tbody>
          {weeks.map(({ monday, minutes, effort, movements }) => (
            <tr key={monday}>
              <th scope="row">{dateWords(monday)}</th>
              <td>{minutes}</td>
              <td>{figure(effort)}</td>
              <td>{figure(movements?.splits)}</td>
              <td>{figure(movements?.lunges)}</td>
              <td>{figure(movements?.jumps)}</td>
            </tr>
          ))}
        </tbody>
      </FiguresTable>
      <Quiet>{say('loadMeans')}</Quiet>
    </section>
  );
}
