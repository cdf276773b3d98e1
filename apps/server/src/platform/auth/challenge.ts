import { HttpStatus } from '@nestjs/common';
import type { Request } from 'express';
import { refuseWith } from '../http/refusals.js';

/** Somebody looks for their key, or puts a finger on it. */
const ANSWERED_WITHIN_MS = 5 * 60 * 1000;

declare module 'express-session' {
  interface SessionData {
    challenge?: { readonly value: string; readonly until: number };
  }
}

/** Remembers what a device was asked; it can be answered once, from the same device. */
export async function ask(request: Request, value: string): Promise<void> {
  const { session } = request;
  session.challenge = { value, until: Date.now() + ANSWERED_WITHIN_MS };
  // A stranger's session is kept no longer than the question.
  if (!session.signedIn) session.cookie.maxAge = ANSWERED_WITHIN_MS;
  await saved(request);
}

/** What the device was asked, which it can answer no more; throws where it was asked nothing. */
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
