import { Type } from '@mikro-orm/core';
import { LRUCache } from 'lru-cache';
import { readPrivateKeys, seal, sealedWith, unseal, type PrivateKey } from './sealing.js';

/** Size of the cache of decrypted values; a squad's page decrypts hundreds, mostly the same as before. */
const MOST_OPENED = 20_000;
const opened = new LRUCache<string, string>({ max: MOST_OPENED });

let read: { readonly given: string; readonly keys: readonly PrivateKey[] } | null = null;

/** The keys of this process and its threads: the first encrypts, all decrypt. */
export function privateKeys(): readonly PrivateKey[] {
  const given = process.env['PRIVATE_KEYS'] ?? '';
  if (read?.given !== given) {
    opened.clear();
    read = { given, keys: readPrivateKeys(given) };
  }
  return read.keys;
}

/**
 * Column type for private JSON: encrypted, so that a dump of the database does not reveal it. Without keys it is
 * stored as plain text; a value that cannot be decrypted reads as `null`.
 */
export class Sealed<Value> extends Type<Value | null, string | null> {
  override convertToDatabaseValue(value: Value | null): string | null {
    if (value === null || value === undefined) return null;
    const text = JSON.stringify(value);
    const [key] = privateKeys();
    return key ? seal(text, key) : text;
  }

  override convertToJSValue(stored: string | null): Value | null {
    return openSealed(stored) as Value | null;
  }

  /** Encryption is deterministic, so encrypted values can be compared directly. */
  override ensureComparable(): boolean {
    return false;
  }

  override getColumnType(): string {
    return 'text';
  }
}

function opening(stored: string): string | null {
  const keys = privateKeys();
  const before = opened.get(stored);
  if (before !== undefined) return before;
  const text = unseal(stored, keys);
  if (text !== null) opened.set(stored, text);
  return text;
}

/** Decrypts a column's value, for raw queries that bypass the entities. */
export function openSealed(stored: string | null): unknown {
  const text = stored !== null && sealedWith(stored) !== null ? opening(stored) : stored;
  try {
    return text === null ? null : JSON.parse(text);
  } catch {
    return null;
  }
}

/** Like {@link openSealed}, for a column that holds a text. */
export const openSealedText = (stored: string | null): string | null => {
  const said = openSealed(stored);
  return typeof said === 'string' ? said : null;
};
