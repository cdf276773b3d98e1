import type { PlanReply } from '@orthokin/contract';
import { problemSentence } from '@orthokin/core/result';
import { CalendarDays, Upload } from 'lucide-react';
import { useState, type ReactElement } from 'react';
import { FileTrigger } from 'react-aria-components';
import { Button } from '../../parts/Button.js';
import { download, fileName } from '../../parts/download.js';
import { Lines } from '../../parts/Lines.js';
import { Notice } from '../../parts/Notice.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { dateWords } from '../../words/format.js';
import { say } from '../../words/weeks.js';
import type { MovedSession } from './calendar.js';

// The calendar code is loaded when it is needed.
const calendar = () => import('./calendar.js');

/**
 * Exports sessions to a calendar, and imports changes of time made there, which the coach accepts or rejects one by
 * one.
 */
export function CalendarPart({
  name,
  sessions,
  onTakeOver,
}: {
  name: string;
  sessions: readonly PlanReply[];
  onTakeOver: (moved: MovedSession) => void;
}): ReactElement {
  const [moved, setMoved] = useState<readonly MovedSession[] | null>(null);
  const [problem, setProblem] = useState('');
  const settled = (one: MovedSession) =>
    setMoved((all) => (all ?? []).filter(({ planId }) => planId !== one.planId));
  const write = async () => {
    const { toCalendar } = await calendar();
    download(fileName(name, 'ics'), toCalendar(sessions, new Date()), 'text/calendar');
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    const { movedIn } = await calendar();
    const found = movedIn(await file.text(), sessions);
    setMoved(found.ok ? found.value : null);
    setProblem(found.ok ? '' : problemSentence(found.problem));
  };
  return (
    <section style={{ marginTop: 26 }}>
      <Heading>{say('calendar')}</Heading>
      <p style={{ display: 'flex', flexWrap: 'wrap', gap: 10, margin: '8px 0' }}>
        <Button isDisabled={sessions.length === 0} onPress={() => void write()}>
          <CalendarDays size={18} aria-hidden /> {say('calendar')}
        </Button>
        <FileTrigger
          acceptedFileTypes={['.ics', 'text/calendar']}
          onSelect={(files) => void read(files?.[0])}
        >
          <Button>
            <Upload size={18} aria-hidden /> {say('readBack')}
          </Button>
        </FileTrigger>
      </p>
      {problem && <Notice>{problem}</Notice>}
      {moved && (
        <Quiet role="status">
          {moved.length === 0 ? say('calendarSame') : say('calendarMoved', { count: moved.length })}
        </Quiet>
      )}
      <Lines>
        {(moved ?? []).map((one) => (
          <li key={one.planId}>
            {say('movedTo', {
              name: sessions.find(({ id }) => id === one.planId)?.name ?? '',
              ...{ day: dateWords(one.day), time: one.startsAt, minutes: one.minutes },
            })}
            <Button
              onPress={() => {
                onTakeOver(one);
                settled(one);
              }}
            >
              {say('takeOver')}
            </Button>
            <Button onPress={() => settled(one)}>{say('leaveIt')}</Button>
          </li>
        ))}
      </Lines>
    </section>
  );
}
