import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement, type ReactNode } from 'react';
import type { AthleteBody, RungMoveBody, RungMoveReply } from '@orthokin/contract';
import { isOvertaken, Refused, send } from '../api/client.js';
import { differing, overtaken } from '../api/news.js';
import { OutboxContext } from '../device/outbox-context.js';
import { prune } from '../device/drill-log.js';
import { Outbox, type Delivery } from '../device/outbox.js';
import type { Outgoing } from '../device/store.js';

/** HTTP statuses after which a request is tried again later; 401 once somebody has signed in. */
const LATER = new Set([401, 408, 429, 500]);

/** After so many server errors a request is set aside, so that those behind it are sent. */
const MOST_FAILURES = 6;

const failures = new Map<string, number>();

/** The device moved by the rule, but the server stored the move as an overrule: its evidence said otherwise. */
function compareMove({ body, by = null }: Outgoing, reply: RungMoveReply): void {
  const { id, athleteId, patternId, fromRung, toRung, decision } = reply;
  if ((body as RungMoveBody).basis === reply.basis || !decision) return;
  differing.add(id, { athleteId, patternId, fromRung, toRung, decision }, by);
}

async function deliver(item: Outgoing): Promise<Delivery> {
  const { subject, method, path, body, by = null } = item;
  try {
    const reply = await send(method, path, body);
    failures.delete(path);
    if (subject.startsWith('move:')) compareMove(item, reply as RungMoveReply);
    return 'taken';
  } catch (error) {
    if (!(error instanceof Refused)) return 'unheard';
    if (subject.startsWith('athlete:') && isOvertaken(error)) {
      overtaken.add(subject.slice('athlete:'.length), body as AthleteBody, by);
      return 'taken';
    }
    if (!LATER.has(error.status)) return { refused: error.message };
    if (error.status !== 500) return 'unheard';
    const failed = (failures.get(path) ?? 0) + 1;
    failures.set(path, failed);
    return failed >= MOST_FAILURES ? { refused: error.message } : 'unheard';
  }
}

/** Provides the pages with one outbox, which is woken at the start and whenever the network may be back. */
export function Sending({ children }: { children: ReactNode }): ReactElement {
  const client = useQueryClient();
  const [outbox] = useState(() => new Outbox(deliver));
  useEffect(() => {
    const wake = () => void outbox.wake();
    let waiting = 0;
    const unsubscribe = outbox.subscribe(() => {
      const before = waiting;
      waiting = outbox.snapshot().waiting;
      // Whatever was loaded before the outbox was empty may be out of date.
      if (before > 0 && waiting === 0)
        void client.cancelQueries().then(() => client.invalidateQueries());
    });
    wake();
    void prune(Date.now());
    window.addEventListener('online', wake);
    window.addEventListener('focus', wake);
    return () => {
      unsubscribe();
      window.removeEventListener('online', wake);
      window.removeEventListener('focus', wake);
    };
  }, [client, outbox]);
  return <OutboxContext value={outbox}>{children}</OutboxContext>;
}
