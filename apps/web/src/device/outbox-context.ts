import { createContext, useContext, useSyncExternalStore } from 'react';
import type { Outbox, SendingState } from './outbox.js';

export const OutboxContext = createContext<Outbox | null>(null);

export function useOutbox(): Outbox {
  const outbox = useContext(OutboxContext);
  if (!outbox) throw new Error('useOutbox needs a OutboxContext above it.');
  return outbox;
}

/** What is waiting to be sent, kept up to date. */
export function useSending(): SendingState {
  const outbox = useOutbox();
  return useSyncExternalStore(outbox.subscribe, outbox.snapshot);
}
