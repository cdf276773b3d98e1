import { Type } from '@mikro-orm/core';
import { LRUCache } from 'lru-cache';
import { readPrivateKeys, seal, sealedWith, unseal, type PrivateKey } from './sealing.js';

/** What was opened lately: a page of a squad opens hundreds, the same ones as the page before. */
const MOST_OPENED = 20_000;
const opened = new LRUCache<string, string>({ max: MOST_OPENED });

let read: { readonly given: string; readonly keys: readonly PrivateKey[] } | null = null;

/** The keys of this process and its threads; the first one seals, each of them opens. */
export function privateKeys(): readonly PrivateKey[] {
  const given = process.env['PRIVATE_KEYS'] ?? '';
  if (read?.given !== given) {
    opened.clear();
    read = { given, keys: readPrivateKeys(given) };
  }
  return read.keys;
}

/**
 * A column of type text with JSON in it that a dump of the database does not tell. Where there are no
 * keys it stands in the clear; what cannot be opened is `null`, as what was never said.
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

  /** The same is sealed to the same: it need not be sealed again to be compared. */
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

/** What a column of this kind says, for questions that pass the entities by. */
export function openSealed(stored: string | null): unknown {
  const text = stored !== null && sealedWith(stored) !== null ? opening(stored) : stored;
  try {
    return text === null ? null : JSON.parse(text);
  } catch {
    return null;
  }
}

/** The text that such a column says; `null` where it says none. */
export const openSealedText = (stored: string | null): string | null => {
  const said = openSealed(stored);
  return typeof said === 'string' ? said : null;
};
