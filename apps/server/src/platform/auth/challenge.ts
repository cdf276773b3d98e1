import { HttpStatus } from '@nestjs/common';
import type { Request } from 'express';
import { refuseWith } from '../http/refusals.js';

/** How long a passkey prompt may stay open. */
const ANSWERED_WITHIN_MS = 5 * 60 * 1000;

declare module 'express-session' {
  interface SessionData {
    challenge?: { readonly value: string; readonly until: number };
  }
}

/** Stores a challenge in the device's session. It can be answered once, from the same device. */
export async function ask(request: Request, value: string): Promise<void> {
  const { session } = request;
  session.challenge = { value, until: Date.now() + ANSWERED_WITHIN_MS };
  // A session that exists only for the challenge expires with it.
  if (!session.signedIn) session.cookie.maxAge = ANSWERED_WITHIN_MS;
  await saved(request);
}

/**
 * Takes the challenge out of the session.
 * @throws if there is none, or it has expired
 */
export async function answerTo(request: Request): Promise<string> {
  const { challenge } = request.session;
  if (!challenge || challenge.until < Date.now())
    throw refuseWith(HttpStatus.CONFLICT, [
      { field: 'challenge', given: 'none', allowed: 'the one asked for within five minutes' },
    ]);
  delete request.session.challenge;
  await saved(request);
  return challenge.value;
}

const saved = ({ session }: Request): Promise<void> =>
  new Promise((done, fail) => session.save((error) => (error ? fail(error as Error) : done())));
