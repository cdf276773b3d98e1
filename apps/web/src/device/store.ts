import type { Method } from '@orthokin/contract/routes';
import {
  openDB,
  type DBSchema,
  type IDBPDatabase,
  type IDBPObjectStore,
  type StoreNames,
} from 'idb';

import type { Person } from './who.js';

/** What a request is about (a drill, a note…), with its id. */
export type Subject =
  `${'drill' | 'note' | 'care' | 'session' | 'practice' | 'athlete' | 'move'}:${string}`;

/** A request that must reach the server, in its order in the queue. */
export interface Outgoing {
  readonly subject: Subject;
  readonly method: Method;
  readonly path: string;
  readonly body: unknown;
  /** The person who recorded it, the only one who may send it; anybody if absent. */
  readonly by?: Person | null;
}

/** A request the server refused; stored and shown, so that nothing is lost. */
export interface RefusedOutgoing extends Outgoing {
  readonly why: string;
}

/** An action in a drill. */
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
  outgoing: { key: number; value: Outgoing; indexes: { bySubject: string } };
  refused: { key: number; value: RefusedOutgoing };
}

export type Store = IDBPDatabase<Schema>;

/** Requests from before there were other subjects than drills. */
interface OfDrill extends Pick<Outgoing, 'path' | 'body'> {
  readonly drillId: string;
}

type Queue = IDBPObjectStore<Schema, StoreNames<Schema>[], 'outgoing', 'versionchange'>;

async function withSubjects(queue: Queue): Promise<void> {
  for (let at = await queue.openCursor(); at; at = await at.continue()) {
    const { drillId, path, body } = at.value as unknown as OfDrill;
    await at.update({ subject: `drill:${drillId}`, method: 'PUT', path, body });
  }
}

let opened: Promise<Store> | null = null;

/** The app's database in this browser; opened once. */
export function store(): Promise<Store> {
  opened ??= openDB<Schema>('orthokin', 2, {
    upgrade(db, from, _to, tx) {
      if (from < 1) {
        db.createObjectStore('drills', { keyPath: 'id' });
        db.createObjectStore('entries', { keyPath: ['drillId', 'seq'] });
        db.createObjectStore('outgoing', { autoIncrement: true });
        db.createObjectStore('refused', { autoIncrement: true });
      }
      tx.objectStore('outgoing').createIndex('bySubject', 'subject');
      if (from === 1) withSubjects(tx.objectStore('outgoing')).catch(() => tx.abort());
    },
    // Another tab has a newer version: close, instead of blocking its upgrade.
    blocking: (_current, _next, event) => {
      (event.target as IDBDatabase).close();
      opened = null;
    },
  });
  return opened;
}
