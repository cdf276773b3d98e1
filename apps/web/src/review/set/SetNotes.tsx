import { Trash2 } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import styled from 'styled-components';
import { v7 } from 'uuid';
import { useCourse, useWriteNote } from '../../api/review.js';
import { useOwnName } from '../../api/me.js';
import { Button } from '../../parts/Button.js';
import { dayWords } from '../../words/format.js';
import { TextField } from '../../parts/form/TextField.js';
import { IconButton } from '../../parts/IconButton.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { say } from '../../words/review.js';

const Line = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 10px;
  margin-bottom: 8px;
  p {
    margin: 0;
  }
`;

const LONGEST = 500;

/** Notes on a set, which the athlete's course shows as well. */
export function SetNotes({ setId, athleteId }: { setId: string; athleteId: string }): ReactElement {
  const course = useCourse(athleteId);
  const write = useWriteNote();
  const [by, setBy] = useOwnName();
  const [draft, setDraft] = useState(0);
  const notes = course.data?.notes.filter((note) => note.setId === setId) ?? [];
  const taken = write.data?.removed ? write.data : null;
  const add = (text: string) => {
    write.mutate({
      ...{ id: v7(), setId, text, writtenBy: by || say('coach'), removed: false },
      writtenAt: new Date().toISOString(),
    });
    setDraft(draft + 1);
  };
  return (
    <section aria-label={say('notes')}>
      <Heading>{say('notes')}</Heading>
      {notes.map((note) => (
        <Line key={note.id}>
          <p>
            {note.text}{' '}
            <Quiet as="span">
              {note.writtenBy}, {dayWords(note.writtenAt)}
            </Quiet>
          </p>
          <span className="no-print">
            <IconButton
              aria-label={say('takeNoteNoteBack', { note: note.text })}
              onPress={() => write.mutate({ ...note, removed: true })}
            >
              <Trash2 size={18} />
            </IconButton>
          </span>
        </Line>
      ))}
      {taken && (
        <Button onPress={() => write.mutate({ ...taken, removed: false })}>
          {say('putTakenBack', { taken: taken.text })}
        </Button>
      )}
      <div className="no-print" style={{ display: 'grid', gap: 8 }}>
        <TextField
          key={draft}
          label={say('writeNoteAboutThisSet')}
          value=""
          rows={2}
          maxLength={LONGEST}
          onChange={add}
        />
        {setBy && by === '' && (
          <TextField label={say('yourName')} value={by} onChange={setBy} maxLength={60} />
        )}
      </div>
      {write.error && <Notice>{write.error.message}</Notice>}
    </section>
  );
}
