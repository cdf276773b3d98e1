import { hash, verify } from '@node-rs/argon2';
import { weakPassword, type WeakPassword } from '@orthokin/core/people';
import { wrong } from '@orthokin/core/result';
import { accepted } from '../../platform/http/refusals.js';

const ALLOWED: Readonly<Record<WeakPassword, string>> = {
  'too short': 'at least 10 characters',
  'too long': 'at most 200 characters',
  'the address': 'one that is not your address',
  'one thing over and over': 'one with more than a few different characters',
};

/**
 * Hashes a new password with Argon2id at the cost OWASP recommends (19 MiB, two passes).
 * @throws if it is too easy to guess
 */
export async function hashPassword(password: string, email: string): Promise<string> {
  const weak = weakPassword(password, email);
  if (weak) accepted(wrong('password', weak, ALLOWED[weak]));
  return hash(password);
}

/**
 * Verified against when there is no such account: it takes as long, so timing does not reveal which accounts exist.
 */
const nobodys = hash('nobody has this password');

/** Whether a password is right. Without an account it takes as long and is false. */
export async function isRight(
  password: string,
  passwordHash: string | undefined,
): Promise<boolean> {
  const is = await verify(passwordHash ?? (await nobodys), password);
  return is && passwordHash !== undefined;
}
