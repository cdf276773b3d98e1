import { useEffect, useRef, type ReactElement } from 'react';
import { Link, useLocation } from 'react-router';
import { useHeldSessions } from '../../api/sessions.js';
import { Lines } from '../../parts/Lines.js';
import { Heading, Quiet } from '../../parts/Text.js';
import { dayWords } from '../../words/format.js';
import { effortWords, say } from '../../words/session.js';
import { minutesBetween } from './minutes-between.js';

const NEWEST = 5;

/** The latest sessions; nothing if there are none. */
export function HeldLately(): ReactElement | null {
  const { data = [] } = useHeldSessions();
  const { hash } = useLocation();
  const list = useRef<HTMLElement>(null);
  const isThere = data.length > 0;
  useEffect(() => {
    if (isThere && hash === '#held') list.current?.scrollIntoView();
  }, [isThere, hash]);
  if (!isThere) return null;
  return (
    <section id="held" ref={list} style={{ marginTop: 30 }}>
      <Heading>{say('held')}</Heading>
      <Lines>
        {data.slice(0, NEWEST).map((session) => (
          <li key={session.id}>
            <Link to={`/plan/held/${session.id}`}>
              {dayWords(session.startedAt)}: {session.name}
            </Link>
            <Quiet as="span">
              {say('heldLine', {
                count: session.attended.length,
                minutes: minutesBetween(session),
              })}
              . {effortWords(session.attended.map(({ effort }) => effort))}
            </Quiet>
          </li>
        ))}
      </Lines>
    </section>
  );
}
