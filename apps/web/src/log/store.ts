import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A request that must reach the server, in its place in the queue. */
export interface Outgoing {
  readonly drillId: string;
  readonly path: string;
  readonly body: unknown;
}

/** A request the server refused; kept so that nothing is lost, and shown. */
export interface RefusedOutgoing extends Outgoing {
  readonly why: string;
}

/** One thing that happened in a drill. */
export interface Entry {
  readonly drillId: string;
  readonly seq: number;
  readonly action: unknown;
}

export interface DrillHead {
  readonly id: string;
  readonly clubId: string;
  /** Epoch milliseconds. */
  readonly startedAt: number;
  readonly ended: boolean;
}

interface Schema extends DBSchema {
  drills: { key: string; value: DrillHead };
  entries: { key: [string, number]; value: Entry };
  outgoing: { key: number; value: Outgoing; indexes: { byDrill: string } };
  refused: { key: number; value: RefusedOutgoing };
}

export type Store = IDBPDatabase<Schema>;

let opened: Promise<Store> | null = null;

/** The browser's own database of this app; opened once. */
export function store(): Promise<Store> {
  opened ??= openDB<Schema>('orthokin', 1, {
    upgrade(db) {
      db.createObjectStore('drills', { keyPath: 'id' });
      db.createObjectStore('entries', { keyPath: ['drillId', 'seq'] });
      const outgoing = db.createObjectStore('outgoing', { autoIncrement: true });
      outgoing.createIndex('byDrill', 'drillId');
      db.createObjectStore('refused', { autoIncrement: true });
    },
    // Another tab brings a newer version: let it through rather than hold it up.
    blocking: (_current, _next, event) => {
      (event.target as IDBDatabase).close();
      opened = null;
    },
  });
  return opened;
}
