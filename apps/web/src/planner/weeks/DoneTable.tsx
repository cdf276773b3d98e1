import type { PlanReply, ProgrammeReply } from '@orthokin/contract';
import { daysLater, doneAgainstPlanned } from '@orthokin/core/plan';
import type { ReactElement } from 'react';
import { usePractice } from '../../api/practice.js';
import { useHeldSessions } from '../../api/sessions.js';
import { localDay } from '../../device/local-day.js';
import { epochNow } from '../../drill/set-clock.js';
import { FiguresTable } from '../../parts/FiguresTable.js';
import { Quiet } from '../../parts/Text.js';
import { say } from '../../words/weeks.js';

/** Attendance of planned sessions by athlete and week; nothing before any is planned. */
export function DoneTable({
  programme,
  sessions,
  nameOf,
}: {
  programme: ProgrammeReply;
  sessions: readonly PlanReply[];
  nameOf: (athleteId: string) => string;
}): ReactElement | null {
  const { data: held = [] } = useHeldSessions();
  const { data: practised = [] } = usePractice();
  if (sessions.length === 0 || programme.athleteIds.length === 0) return null;
  const today = localDay(new Date(epochNow()));
  // Future weeks have no practice at home yet.
  const hasBegun = (place: number) => daysLater(programme.startsOn, 7 * place) <= today;
  const done = doneAgainstPlanned(programme, sessions, held, practised);
  return (
    <section style={{ marginTop: 26 }}>
      <FiguresTable caption={say('done')}>
        <thead>
          <tr>
            <th scope="col">{say('who')}</th>
            {programme.weeks.map((_, place) => (
              <th key={place} scope="col">
                {say('weekShort', { n: place + 1 })}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {[...done].map(([athleteId, weeks]) => (
            <tr key={athleteId}>
              <th scope="row">{nameOf(athleteId)}</th>
              {weeks.map(({ planned, done: came, homePlanned, homeDone }, place) => (
                <td key={place}>
                  {planned > 0 && say('doneOf', { done: came, planned })}
                  {homePlanned + homeDone > 0 && (homeDone > 0 || hasBegun(place)) && (
                    <Quiet>{say('homeOf', { done: homeDone, planned: homePlanned })}</Quiet>
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </FiguresTable>
      <Quiet>{say('doneMeans')}</Quiet>
    </section>
  );
}
