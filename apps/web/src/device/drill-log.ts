import { recordsNow } from './who.js';
import { store, type DrillHead, type Outgoing } from './store.js';

/** Sets older than this, sent and ended, are only read from the server. */
const KEEP_MS = 14 * 24 * 60 * 60 * 1000;

const allEntriesOf = (drillId: string) =>
  IDBKeyRange.bound([drillId, 0], [drillId, Number.MAX_SAFE_INTEGER]);

export interface Append {
  readonly head: DrillHead;
  readonly seq: number;
  readonly action: unknown;
  /** What the server must learn because of it. */
  readonly outgoing: readonly Outgoing[];
}

/**
 * Writes what happened, and what has to be sent because of it, in one transaction: either both
 * are on the disk or neither is. Resolves when they are.
 */
export async function append({ head, seq, action, outgoing }: Append): Promise<void> {
  const by = recordsNow();
  const db = await store();
  const tx = db.transaction(['drills', 'entries', 'outgoing'], 'readwrite', {
    durability: 'strict',
  });
  await Promise.all([
    tx.objectStore('drills').put(head),
    tx.objectStore('entries').put({ drillId: head.id, seq, action }),
    ...outgoing.map((item) => tx.objectStore('outgoing').add({ ...item, by })),
    tx.done,
  ]);
}

/** Everything that happened in a drill, in order; empty when this browser knows nothing of it. */
export async function actionsOf(drillId: string): Promise<unknown[]> {
  const db = await store();
  return (await db.getAll('entries', allEntriesOf(drillId))).map(({ action }) => action);
}

/** Drills that were begun here and not ended, newest first. */
export async function openDrills(): Promise<DrillHead[]> {
  const drills = await (await store()).getAll('drills');
  return drills.filter(({ ended }) => !ended).sort((a, b) => b.startedAt - a.startedAt);
}

/** Forgets old drills that are over and sent. */
export async function prune(now: number): Promise<void> {
  const db = await store();
  for (const { id, startedAt, ended } of await db.getAll('drills')) {
    if (!ended || now - startedAt < KEEP_MS) continue;
    if ((await db.countFromIndex('outgoing', 'bySubject', `drill:${id}`)) > 0) continue;
    const tx = db.transaction(['drills', 'entries'], 'readwrite');
    await Promise.all([
      tx.objectStore('drills').delete(id),
      tx.objectStore('entries').delete(allEntriesOf(id)),
      tx.done,
    ]);
  }
}
