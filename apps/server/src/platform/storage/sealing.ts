import { createCipheriv, createDecipheriv, createHmac, hkdfSync } from 'node:crypto';

/** A key for private values; its name is stored with each value, so that keys can be rotated. */
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
 * Parses keys from a setting: `name:64 hexadecimal digits`, separated by spaces; the first is used to encrypt.
 * @throws an Error whose message names the variable that is wrong
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
 * Encrypts a text (AES-GCM). The nonce is derived from the text, so equal texts encrypt equally: the ORM can tell
 * that nothing changed, at the price that a dump shows which values are equal.
 */
export function seal(text: string, { name, encryption, nonces }: PrivateKey): string {
  const nonce = createHmac('sha256', nonces).update(text).digest().subarray(0, NONCE_BYTES);
  const cipher = createCipheriv(CIPHER, encryption, nonce);
  const sealed = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
  const bytes = Buffer.concat([nonce, cipher.getAuthTag(), sealed]);
  return `sealed:${name}:${bytes.toString('base64')}`;
}

/** The name of the key a text was encrypted with; `null` if it is not encrypted. */
export const sealedWith = (text: string): string | null =>
  SEALED.exec(text)?.groups?.['name'] ?? null;

/** Decrypts a text; `null` if none of the keys fits or the text was tampered with. */
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
