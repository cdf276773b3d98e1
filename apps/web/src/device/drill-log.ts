import { recordsNow } from './who.js';
import { store, type DrillHead, type Outgoing } from './store.js';

/** Finished and sent sets older than this are only kept on the server. */
const KEEP_MS = 14 * 24 * 60 * 60 * 1000;

const allEntriesOf = (drillId: string) =>
  IDBKeyRange.bound([drillId, 0], [drillId, Number.MAX_SAFE_INTEGER]);

export interface Append {
  readonly head: DrillHead;
  readonly seq: number;
  readonly action: unknown;
  /** Requests that follow from the action. */
  readonly outgoing: readonly Outgoing[];
}

/**
 * Stores an action and the requests that follow from it in one transaction: both or neither. Resolves when they are
 * on disk.
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

/** A drill's actions in order; empty if it is unknown here. */
export async function actionsOf(drillId: string): Promise<unknown[]> {
  const db = await store();
  return (await db.getAll('entries', allEntriesOf(drillId))).map(({ action }) => action);
}

/** Drills that were started here and not ended, newest first. */
export async function openDrills(): Promise<DrillHead[]> {
  const drills = await (await store()).getAll('drills');
  return drills.filter(({ ended }) => !ended).sort((a, b) => b.startedAt - a.startedAt);
}

/** Deletes old drills that are finished and sent. */
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
