import { AsyncLocalStorage } from 'node:async_hooks';
import type { Role } from '@orthokin/core/people';

/** What a device is signed in as; kept with its session. */
export interface SignedIn {
  /** Of the device, for lists: the session's own id is a secret. */
  readonly deviceId: string;
  readonly clubId: string;
  readonly role: Role;
  readonly name: string;
  readonly accountId: string | null;
  readonly athleteIds: readonly string[] | null;
  /** What browser and system it says it is. */
  readonly device: string;
  readonly since: string;
}

/** Who sends a request. */
export interface Caller {
  readonly signedIn: SignedIn | null;
  /** The club that the address was found to name, and that rows are shown of. */
  readonly clubId: string | null;
  /** In the club that the address names, or in its own where it names none; `null` for nobody there. */
  readonly role: Role | null;
  /** It sits at the machine that serves. */
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

/** The name of the account that is signed in; `null` where nobody is, or where the device is a club's own. */
export const accountNow = (): string | null => {
  const { signedIn } = callerNow();
  return signedIn?.accountId ? signedIn.name : null;
};

/**
 * Who says something: whoever is signed in by an account, by its name; the name that was typed where
 * nobody is, or where the device is a club's own.
 */
export const saidBy = (typed: string): string => accountNow() ?? typed;
