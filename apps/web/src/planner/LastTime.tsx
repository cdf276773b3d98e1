import { loadRises, type LoadRise } from '@orthokin/core/plan';
import { useContext, type ReactElement } from 'react';
import { useLoads, useSessionNotes } from '../api/sessions.js';
import { FaultNames } from '../parts/fault-names.js';
import { Heading } from '../parts/Text.js';
import { dateWords, semicolonList } from '../words/format.js';
import { noteWords, riseWords, say } from '../words/session.js';
import { lastOf } from './last-of.js';

const isOfEffort = ({ figure }: LoadRise): boolean => figure === 'effort';

/** What to remember when planning: what was seen in the last session, and whose load has risen. */
export function LastTime({
  athleteIds,
  day,
  nameOf,
}: {
  athleteIds: readonly string[];
  day: string;
  nameOf: (athleteId: string) => string;
}): ReactElement | null {
  const { data: notes = [] } = useSessionNotes();
  const { data: loads = [] } = useLoads(day);
  const faultName = useContext(FaultNames);
  const before = notes.filter((note) => note.day <= day);
  const seen = [null, ...athleteIds].flatMap((athleteId) => {
    const [newest, ...rest] = lastOf(before, athleteId);
    if (!newest) return [];
    const about = {
      day: dateWords(newest.day),
      seen: semicolonList([newest, ...rest].map((note) => noteWords(note, faultName))),
    };
    return athleteId === null
      ? say('everyoneLastTime', about)
      : say('lastTimeOf', { ...about, name: nameOf(athleteId) });
  });
  const heavy = loads.flatMap(({ athleteId, weeks }) => {
    // Counts of few sets vary a lot by chance, so only rises in effort are mentioned here.
    const rise = athleteIds.includes(athleteId) && loadRises(weeks).find(isOfEffort);
    return rise ? { name: nameOf(athleteId), rise } : [];
  });
  if (athleteIds.length === 0 || seen.length + heavy.length === 0) return null;
  return (
    <section style={{ marginTop: 14 }}>
      <Heading>{say('seenBefore')}</Heading>
      <ul style={{ margin: '4px 0 0', paddingLeft: 18 }}>
        {heavy.length > 0 && <li>{riseWords(heavy)}</li>}
        {seen.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );
}
