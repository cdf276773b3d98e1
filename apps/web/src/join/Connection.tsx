import { useSyncExternalStore, type ReactElement } from 'react';
import type { Channel } from '../live/channel.js';
import { say } from '../words/join.js';

/** Says when a joined screen has lost its connection. */
export function Connection({ channel }: { channel: Channel }): ReactElement | null {
  const { connected } = useSyncExternalStore(channel.subscribe, channel.snapshot);
  return connected ? null : <span role="alert">{say('notConnectedTryingAgain')}</span>;
}
