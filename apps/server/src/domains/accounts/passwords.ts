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
 * The hash of a new password, Argon2id at the cost that OWASP gives (19 MiB, two passes). Throws a
 * refusal of one too easily guessed.
 */
export async function hashPassword(password: string, email: string): Promise<string> {
  const weak = weakPassword(password, email);
  if (weak) accepted(wrong('password', weak, ALLOWED[weak]));
  return hash(password);
}

/** What is verified where there is no account: it takes as long, so that nobody learns which there are. */
const nobodys = hash('nobody has this password');

/** Whether a password is right; of no account it never is, after as long. */
export async function isRight(
  password: string,
  passwordHash: string | undefined,
): Promise<boolean> {
  const is = await verify(passwordHash ?? (await nobodys), password);
  return is && passwordHash !== undefined;
}
