import { createContext, useContext, useSyncExternalStore } from 'react';
import type { Sender, SendingState } from './sender.js';

export const SenderContext = createContext<Sender | null>(null);

export function useSender(): Sender {
  const sender = useContext(SenderContext);
  if (!sender) throw new Error('useSender needs a SenderContext above it.');
  return sender;
}

/** What is not sent yet, kept up to date. */
export function useSending(): SendingState {
  const sender = useSender();
  return useSyncExternalStore(sender.subscribe, sender.snapshot);
}
