import { openDB, deleteDB, type DBSchema, type IDBPDatabase } from 'idb';

/** A stored reply of the server, encrypted. */
interface Sealed {
  readonly path: string;
  /** When it was received, epoch ms. */
  readonly at: number;
  readonly bytes: number;
  readonly iv: Uint8Array<ArrayBuffer>;
  readonly sealed: ArrayBuffer;
}

interface Schema extends DBSchema {
  replies: { key: string; value: Sealed };
  /** Whose replies are stored, and the key that encrypts them. */
  owner: { key: 'owner'; value: { readonly who: string; readonly key: CryptoKey } };
}

export interface Kept {
  readonly reply: unknown;
  readonly at: number;
}

/** A summary of what is stored. */
export interface KeptSummary {
  readonly replies: number;
  readonly bytes: number;
  /** Epoch ms; `null` if nothing is stored. */
  readonly oldest: number | null;
  readonly newest: number | null;
}

const NAME = 'orthokin-kept';
const CIPHER = 'AES-GCM';
const NOTHING: KeptSummary = { replies: 0, bytes: 0, oldest: null, newest: null };

let opened: Promise<IDBPDatabase<Schema>> | null = null;

/** Encryption and offline use are only available on secure pages. */
const canKeep = (): boolean => window.isSecureContext && typeof indexedDB !== 'undefined';

function replies(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>(NAME, 1, {
    upgrade(db) {
      db.createObjectStore('replies', { keyPath: 'path' });
      db.createObjectStore('owner');
    },
    blocking: (_current, _next, event) => {
      (event.target as IDBDatabase).close();
      opened = null;
    },
  });
  return opened;
}

/** If the device's storage fails the app works as if nothing were stored. */
async function or<Value>(otherwise: Value, work: () => Promise<Value>): Promise<Value> {
  if (!canKeep()) return otherwise;
  try {
    return await work();
  } catch {
    return otherwise;
  }
}

/**
 * Sets whose replies are stored from now on, and deletes those of anybody else. The key is deleted first, so that
 * they are unreadable even if deleting the rest fails.
 */
export const keepFor = (who: string): Promise<void> =>
  or(undefined, async () => {
    const db = await replies();
    if ((await db.get('owner', 'owner'))?.who === who) return;
    await db.delete('owner', 'owner');
    await db.clear('replies');
    const key = await crypto.subtle.generateKey({ name: CIPHER, length: 256 }, false, [
      ...(['encrypt', 'decrypt'] as const),
    ]);
    await db.put('owner', { who, key }, 'owner');
  });

/** Stores a reply; nothing is stored until it is known whose it is. */
export const keepReply = (path: string, reply: unknown, now = Date.now()): Promise<void> =>
  or(undefined, async () => {
    const db = await replies();
    const owner = await db.get('owner', 'owner');
    if (!owner) return;
    const text = new TextEncoder().encode(JSON.stringify(reply));
    const iv = crypto.getRandomValues(new Uint8Array(12));
    const sealed = await crypto.subtle.encrypt({ name: CIPHER, iv }, owner.key, text);
    // Somebody else may have signed in meanwhile.
    const tx = db.transaction(['owner', 'replies'], 'readwrite');
    if ((await tx.objectStore('owner').get('owner'))?.who === owner.who)
      await tx.objectStore('replies').put({ path, at: now, bytes: sealed.byteLength, iv, sealed });
    await tx.done;
  });

/** The stored reply for a path; `null` if there is none that can be read. */
export const keptReply = (path: string): Promise<Kept | null> =>
  or(null, async () => {
    const db = await replies();
    const [owner, kept] = await Promise.all([db.get('owner', 'owner'), db.get('replies', path)]);
    if (!owner || !kept) return null;
    const { iv, sealed, at } = kept;
    const text = await crypto.subtle.decrypt({ name: CIPHER, iv }, owner.key, sealed);
    return { reply: JSON.parse(new TextDecoder().decode(text)) as unknown, at };
  });

/** Deletes all stored replies. */
export const forgetReplies = (): Promise<void> =>
  or(undefined, async () => {
    await (await replies()).delete('owner', 'owner');
    (await opened)?.close();
    opened = null;
    await deleteDB(NAME);
  });

export const keptSummary = (): Promise<KeptSummary> =>
  or(NOTHING, async () => {
    const all = await (await replies()).getAll('replies');
    const times = all.map(({ at }) => at);
    return {
      replies: all.length,
      bytes: all.reduce((sum, { bytes }) => sum + bytes, 0),
      oldest: times.length > 0 ? Math.min(...times) : null,
      newest: times.length > 0 ? Math.max(...times) : null,
    };
  });
