import type { MeReply } from '@orthokin/contract';
import { useEffect } from 'react';
import { useOutbox } from '../device/outbox-context.js';
import { isIn } from '../device/who.js';

/** Records made on this device belong to whoever is signed in, and are only sent while they are. */
export function useWhoRecords(me: MeReply | undefined): void {
  const outbox = useOutbox();
  const { accountId = null, name = '' } = me?.signedIn ?? {};
  const isKnown = me !== undefined;
  const isSignedIn = Boolean(me?.signedIn);
  // Without accounts the device itself is the author.
  const isOpen = me !== undefined && me.open.length > 0;
  useEffect(() => {
    if (!isKnown) return;
    isIn(accountId === null ? null : { accountId, name }, isSignedIn || isOpen);
    void outbox.wake();
  }, [isKnown, isSignedIn, isOpen, accountId, name, outbox]);
}
