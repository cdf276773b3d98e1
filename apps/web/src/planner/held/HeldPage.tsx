import type { HeldSessionReply, SessionSetReply } from '@orthokin/contract';
import { groupBy } from '@orthokin/core/stats';
import { useState, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { useLibrary } from '../../api/patterns.js';
import {
  useHeldSession,
  useHoldSession,
  useRemoveSession,
  useSessionNotes,
  useSessionSets,
  useWriteSessionNote,
} from '../../api/sessions.js';
import { Button } from '../../parts/Button.js';
import { Lines } from '../../parts/Lines.js';
import { Failed, Notice } from '../../parts/Notice.js';
import { Columns } from '../../parts/Columns.js';
import { Heading, Headline, Page, Quiet } from '../../parts/Text.js';
import { dayWords, timeWords } from '../../words/format.js';
import { reachedWords } from '../../words/game.js';
import { blockName } from '../../words/plan.js';
import { effortWords, outcomeOf, say } from '../../words/session.js';
import { useNames } from '../useNames.js';
import { AfterSession } from './AfterSession.js';
import { minutesBetween } from './minutes-between.js';
import { NoteLines } from './NoteLines.js';

/** A session that took place: its blocks, timed sets, attendance, effort and observations. */
export function HeldPage(): ReactElement {
  const { sessionId = '' } = useParams();
  const session = useHeldSession(sessionId);
  const remove = useRemoveSession();
  const hold = useHoldSession();
  const [gone, setGone] = useState<HeldSessionReply | null>(null);
  if (gone)
    return (
      <Page name={gone.name}>
        <Headline>{say('takenAway')}</Headline>
        <p>
          <Button onPress={() => hold.mutate(gone, { onSuccess: () => setGone(null) })}>
            {say('putBack')}
          </Button>{' '}
          <Link to="/plan">{say('allSessions')}</Link>
        </p>
      </Page>
    );
  if (!session.data)
    return (
      <Page name={say('held')}>
        {session.error ? (
          <Failed error={session.error} again={() => void session.refetch()} />
        ) : (
          <Quiet>{say('reading')}</Quiet>
        )}
      </Page>
    );
  const { data } = session;
  return (
    <Held
      key={data.id}
      session={data}
      error={hold.error ?? remove.error}
      onChange={(changed) => hold.mutate(changed)}
      onRemove={() => remove.mutate(data.id, { onSuccess: () => setGone(data) })}
    />
  );
}

function Held({
  session,
  error,
  onChange,
  onRemove,
}: {
  session: HeldSessionReply;
  error: Error | null;
  onChange: (session: HeldSessionReply) => void;
  onRemove: () => void;
}) {
  const { id, planId, name, startedAt, attended } = session;
  const nameOf = useNames();
  const notes = useSessionNotes();
  const write = useWriteSessionNote();
  const own = (notes.data ?? []).filter(({ sessionId }) => sessionId === id);
  return (
    <Page name={name}>
      <Quiet>
        <Link to="/plan">{say('allSessions')}</Link>
        {planId !== null && (
          <>
            {' · '}
            <Link to={`/plan/${planId}`}>{say('openPlan')}</Link>
          </>
        )}
      </Quiet>
      <Headline style={{ marginTop: 4 }}>
        {say('heldHead', {
          ...{ name, day: dayWords(startedAt), count: attended.length },
          minutes: minutesBetween(session),
        })}
      </Headline>
      <p style={{ margin: '8px 0 0' }}>{effortWords(attended.map(({ effort }) => effort))}</p>
      {error && <Notice>{say('notKept', { why: error.message })}</Notice>}
      <Columns>
        <div>
          <Ran session={session} nameOf={nameOf} />
          <section style={{ marginTop: 24 }}>
            <Heading>{say('seen')}</Heading>
            {notes.data && own.length === 0 && <Quiet>{say('nothingSeen')}</Quiet>}
            <NoteLines
              notes={own}
              nameOf={nameOf}
              onTakeBack={(note) => write.mutate({ ...note, removed: true })}
            />
          </section>
        </div>
        <section style={{ display: 'grid', gap: 18 }}>
          <AfterSession {...{ session, nameOf, onChange }} />
          <p>
            <Button onPress={onRemove}>{say('wasNotHeld')}</Button>
          </p>
        </section>
      </Columns>
    </Page>
  );
}

/** The blocks that were run, and under each what was timed in it. */
function Ran({
  session: { id, blocks, attended },
  nameOf,
}: {
  session: HeldSessionReply;
  nameOf: (athleteId: string) => string;
}) {
  const sets = useSessionSets(id);
  const library = useLibrary();
  const patternName = (patternId: string) =>
    library.data?.find((one) => one.id === patternId)?.pattern.name ?? '';
  const of = (block: (typeof blocks)[number]): SessionSetReply[] =>
    (sets.data ?? []).filter(
      ({ atMs }) => Date.parse(block.startedAt) <= atMs && atMs < Date.parse(block.endedAt),
    );
  const reached = (blockId: string) =>
    attended
      .flatMap(({ athleteId, scores }) =>
        (scores ?? [])
          .filter((score) => score.blockId === blockId)
          .map(({ count }) => ({ name: nameOf(athleteId), count })),
      )
      .sort((one, other) => other.count - one.count);
  return (
    <section>
      <Heading>{say('blocks')}</Heading>
      {sets.data?.length === 0 && <Quiet>{say('noSets')}</Quiet>}
      {blocks.map((block) => (
        <div key={block.startedAt} style={{ marginTop: 12 }}>
          <b>{blockName(block)}</b>{' '}
          <Quiet as="span">
            {say('blockTimes', {
              ...{ from: timeWords(block.startedAt), to: timeWords(block.endedAt) },
            })}
          </Quiet>
          {reached(block.blockId).length > 0 && (
            <p style={{ margin: '4px 0' }}>{reachedWords(reached(block.blockId), block)}</p>
          )}
          <Lines>
            {[...groupBy(of(block), ({ athleteId }) => athleteId)].map(([athleteId, own]) => (
              <li key={athleteId}>
                <span style={{ minWidth: '10em' }}>{nameOf(athleteId)}</span>
                {own.map((set) => (
                  <Link
                    key={set.setId}
                    to={`/review/${set.setId}`}
                    title={patternName(set.patternId)}
                  >
                    {say('setLine', { rung: set.rung, outcome: outcomeOf(set.outcome) })}
                  </Link>
                ))}
              </li>
            ))}
          </Lines>
        </div>
      ))}
    </section>
  );
}
