import type { SessionNoteReply } from '@orthokin/contract';
import { Trash2 } from 'lucide-react';
import { useContext, type ReactElement } from 'react';
import { FaultNames } from '../../parts/fault-names.js';
import { IconButton } from '../../parts/IconButton.js';
import { Lines } from '../../parts/Lines.js';
import { noteWords, say } from '../../words/session.js';

/** What was seen, a line each; each can be taken back. */
export function NoteLines({
  notes,
  nameOf,
  onTakeBack,
}: {
  notes: readonly SessionNoteReply[];
  nameOf: (athleteId: string) => string;
  onTakeBack: (note: SessionNoteReply) => void;
}): ReactElement {
  const faultName = useContext(FaultNames);
  return (
    <Lines>
      {notes.map((note) => {
        const line = say('noteOf', {
          name: note.athleteId === null ? say('everybody') : nameOf(note.athleteId),
          what: noteWords(note, faultName),
        });
        return (
          <li key={note.id}>
            <span>{line}</span>
            <span className="no-print" style={{ marginLeft: 'auto' }}>
              <IconButton
                aria-label={say('takeNoteBack', { note: line })}
                onPress={() => onTakeBack(note)}
              >
                <Trash2 size={18} />
              </IconButton>
            </span>
          </li>
        );
      })}
    </Lines>
  );
}
