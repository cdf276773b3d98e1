import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactElement, type ReactNode } from 'react';
import { put, Refused } from '../club/api.js';
import { SenderContext } from '../log/sender-context.js';
import { prune } from '../log/drill-log.js';
import { Sender, type Delivery } from '../log/sender.js';
import type { Outgoing } from '../log/store.js';

/** A server that is merely busy will take it later. */
const LATER = new Set([408, 429, 500]);

async function deliver({ path, body }: Outgoing): Promise<Delivery> {
  try {
    await put(path, body);
    return 'taken';
  } catch (error) {
    if (error instanceof Refused && !LATER.has(error.status)) return { refused: error.message };
    return 'unheard';
  }
}

/** Gives the pages below one sender, woken at the start and whenever the network may be back. */
export function Sending({ children }: { children: ReactNode }): ReactElement {
  const client = useQueryClient();
  const [sender] = useState(() => new Sender(deliver));
  useEffect(() => {
    const wake = () => void sender.wake();
    let waiting = 0;
    const unsubscribe = sender.subscribe(() => {
      const before = waiting;
      waiting = sender.snapshot().waiting;
      if (before > 0 && waiting === 0) void client.invalidateQueries();
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
  }, [client, sender]);
  return <SenderContext value={sender}>{children}</SenderContext>;
}
