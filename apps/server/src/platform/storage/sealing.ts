import { createCipheriv, createDecipheriv, createHmac, hkdfSync } from 'node:crypto';

/** What private values are sealed with; its name stands beside each value, so that keys can be changed. */
export interface PrivateKey {
  readonly name: string;
  readonly encryption: Buffer;
  readonly nonces: Buffer;
}

const CIPHER = 'aes-256-gcm';
const NONCE_BYTES = 12;
const TAG_BYTES = 16;
const GIVEN_KEY = /^(?<name>[\w-]{1,32}):(?<secret>[0-9a-f]{64})$/;
const SEALED = /^sealed:(?<name>[\w-]+):(?<bytes>[\w+/=]+)$/;

/**
 * The keys in a setting: `name:64 hexadecimal digits` each, the one that is sealed with first, with
 * spaces between; none where nothing is given. Throws a sentence naming the variable that is wrong.
 */
export const readPrivateKeys = (given = ''): PrivateKey[] =>
  given
    .split(' ')
    .filter(Boolean)
    .map((each) => {
      const { name, secret } = GIVEN_KEY.exec(each)?.groups ?? {};
      if (!name || !secret)
        throw new Error(
          'PRIVATE_KEYS: allowed keys like 2026a:<64 hexadecimal digits>, the newest first, with spaces between.',
        );
      const part = (purpose: string) =>
        Buffer.from(hkdfSync('sha256', Buffer.from(secret, 'hex'), '', purpose, 32));
      return { name, encryption: part('encryption'), nonces: part('nonces') };
    });

/**
 * A text that tells nothing without the key. The nonce follows from the text: the same text sealed
 * again is the same, which the ORM takes for unchanged; whoever has a dump sees who has equal ones.
 */
export function seal(text: string, { name, encryption, nonces }: PrivateKey): string {
  const nonce = createHmac('sha256', nonces).update(text).digest().subarray(0, NONCE_BYTES);
  const cipher = createCipheriv(CIPHER, encryption, nonce);
  const sealed = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
  const bytes = Buffer.concat([nonce, cipher.getAuthTag(), sealed]);
  return `sealed:${name}:${bytes.toString('base64')}`;
}

/** The name of the key a text is sealed with; `null` for one that is not sealed. */
export const sealedWith = (text: string): string | null =>
  SEALED.exec(text)?.groups?.['name'] ?? null;

/** What was sealed; `null` where the key is none of these, or the text is not what was sealed. */
export function unseal(text: string, keys: readonly PrivateKey[]): string | null {
  const { name, bytes = '' } = SEALED.exec(text)?.groups ?? {};
  const key = keys.find((each) => each.name === name);
  if (!key) return null;
  const all = Buffer.from(bytes, 'base64');
  const tagTo = NONCE_BYTES + TAG_BYTES;
  try {
    const decipher = createDecipheriv(
      CIPHER,
      key.encryption,
      all.subarray(0, NONCE_BYTES),
    ).setAuthTag(all.subarray(NONCE_BYTES, tagTo));
    return decipher.update(all.subarray(tagTo), undefined, 'utf8') + decipher.final('utf8');
  } catch {
    return null;
  }
}
