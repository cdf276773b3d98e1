import type { SessionNoteReply } from '@orthokin/contract';
import { LONGEST_SESSION_NOTE } from '@orthokin/core/people';
import type { Fault } from '@orthokin/core/timing';
import { useContext, useState, type ReactElement } from 'react';
import { v7 } from 'uuid';
import { useClub } from '../../api/club.js';
import { usePeople } from '../../api/people.js';
import { useSessionNotes, useWriteSessionNote } from '../../api/sessions.js';
import { localDay } from '../../device/local-day.js';
import { useOwnName } from '../../api/me.js';
import { FaultNames } from '../../parts/fault-names.js';
import { TextField } from '../../parts/form/TextField.js';
import { Notice } from '../../parts/Notice.js';
import { namedFaults } from '../../words/fault.js';
import { say } from '../../words/session.js';
import { NoteLines } from '../held/NoteLines.js';
import { People } from '../People.js';

/** Notes an observation during a session: a fault by one press, or a text. */
export function Seen({
  sessionId,
  athleteIds,
  nameOf,
}: {
  sessionId: string;
  athleteIds: readonly string[];
  nameOf: (athleteId: string) => string;
}): ReactElement {
  const { faults: own } = useClub();
  const people = usePeople();
  const notes = useSessionNotes();
  const write = useWriteSessionNote();
  const faultName = useContext(FaultNames);
  const [by] = useOwnName();
  const [of, setOf] = useState<string | null>(null);
  const [draft, setDraft] = useState(0);
  const watched = people.data?.find(({ id }) => id === of)?.watched ?? [];
  const faults = [...new Set([...watched, ...namedFaults(own)])].filter((one) => one !== 'missed');
  const add = (seen: Pick<SessionNoteReply, 'fault' | 'text'>) => {
    write.mutate({
      ...{ id: v7(), sessionId, athleteId: of, ...seen, removed: false },
      ...{ writtenBy: by || say('coach'), writtenAt: new Date().toISOString() },
      day: localDay(new Date()),
    });
    setDraft(draft + 1);
  };
  return (
    <section aria-label={say('whatWasSeen')} style={{ display: 'grid', gap: 6 }}>
      <People $large role="group" aria-label={say('seenOf')}>
        {[null, ...athleteIds].map((id) => (
          <button key={id} type="button" aria-pressed={of === id} onClick={() => setOf(id)}>
            {id === null ? say('everybody') : nameOf(id)}
          </button>
        ))}
      </People>
      <People $large role="group" aria-label={say('seenFault')}>
        {faults.map((fault: Fault) => (
          <button key={fault} type="button" onClick={() => add({ fault, text: '' })}>
            {faultName(fault)}
          </button>
        ))}
      </People>
      <div style={{ maxWidth: 520 }}>
        <TextField
          key={draft}
          label={say('inWords')}
          value=""
          maxLength={LONGEST_SESSION_NOTE}
          onChange={(text) => add({ fault: null, text })}
        />
      </div>
      {write.error && <Notice>{write.error.message}</Notice>}
      <NoteLines
        notes={(notes.data ?? []).filter((note) => note.sessionId === sessionId)}
        nameOf={nameOf}
        onTakeBack={(note) => write.mutate({ ...note, removed: true })}
      />
    </section>
  );
}
