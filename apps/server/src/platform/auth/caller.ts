import { AsyncLocalStorage } from 'node:async_hooks';
import type { Role } from '@orthokin/core/people';

/** What a device is signed in as; stored in its session. */
export interface SignedIn {
  /** Identifies the device in lists; the session's own id is a secret. */
  readonly deviceId: string;
  readonly clubId: string;
  readonly role: Role;
  readonly name: string;
  readonly accountId: string | null;
  readonly athleteIds: readonly string[] | null;
  /** Browser and system, from its user agent. */
  readonly device: string;
  readonly since: string;
}

/** Who sent a request. */
export interface Caller {
  readonly signedIn: SignedIn | null;
  /** The club named in the address, if it exists; row-level security shows this club's rows. */
  readonly clubId: string | null;
  /** The role in that club, or in the caller's own club if the address names none; `null` without one. */
  readonly role: Role | null;
  /** Whether the request comes from the machine the server runs on. */
  readonly isThisMachine: boolean;
}

declare module 'express-session' {
  interface SessionData {
    signedIn?: SignedIn;
  }
}

const callers = new AsyncLocalStorage<Caller>();

const NOBODY: Caller = { signedIn: null, clubId: null, role: null, isThisMachine: false };

export const callerNow = (): Caller => callers.getStore() ?? NOBODY;

export const calledBy = <Value>(caller: Caller, work: () => Value): Value =>
  callers.run(caller, work);

/** The name of the signed-in account; `null` if nobody is signed in, or the device is a club's shared one. */
export const accountNow = (): string | null => {
  const { signedIn } = callerNow();
  return signedIn?.accountId ? signedIn.name : null;
};

/**
 * The author to store with what somebody says: the signed-in account's name, or else the name typed on the device.
 */
export const saidBy = (typed: string): string => accountNow() ?? typed;
