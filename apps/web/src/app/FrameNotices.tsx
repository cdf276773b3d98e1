import { useSyncExternalStore, type ReactElement } from 'react';
import { useSending } from '../device/outbox-context.js';
import { onServerClock, serverAheadMs } from '../device/server-clock.js';
import { Notice } from '../parts/Notice.js';
import { PageEdge } from '../parts/Text.js';
import { amountWords, say } from '../words/app.js';

/** Shows what the server refused, with the reason, so that nobody learns of it by chance. */
export function Refusals(): ReactElement | null {
  const { refusals } = useSending();
  const [newest] = refusals.slice(-1);
  if (newest === undefined) return null;
  return (
    <PageEdge as="div" style={{ paddingBottom: 0 }}>
      <Notice>
        {say('refusalsCouldNotStoredServerWhich', {
          refusals: refusals.length,
          which: refusals.length === 1 ? 'is' : 'are',
          newest,
        })}
      </Notice>
    </PageEdge>
  );
}

/** Warns if this device's clock is wrong. */
export function ClockOff(): ReactElement | null {
  const aheadMs = useSyncExternalStore(onServerClock, serverAheadMs);
  if (aheadMs === 0) return null;
  return (
    <PageEdge as="div" style={{ paddingBottom: 0 }}>
      <Notice>
        {say(aheadMs < 0 ? 'clockAhead' : 'clockBehind', {
          amount: amountWords(Math.abs(aheadMs)),
        })}
      </Notice>
    </PageEdge>
  );
}
