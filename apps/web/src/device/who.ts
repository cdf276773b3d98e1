import { remember, remembered } from './preferences.js';

/** A person with an account. */
export interface Person {
  readonly accountId: string;
  readonly name: string;
}

const KEY = 'recorder';

let inNow: Person | null = null;
/** Set once this page knows it; until then the stored value counts. */
let recorder: Person | null | undefined;

/** Sets who is signed in on this device; `null` for nobody, or for a shared device. */
export function isIn(person: Person | null, isSignedIn: boolean): void {
  inNow = person;
  // Somebody who was signed out in the middle of something remains its author.
  if (!isSignedIn) return;
  recorder = person;
  remember(KEY, person);
}

/** The author of records made now; `null` for the device itself. */
export const recordsNow = (): Person | null =>
  recorder === undefined ? remembered<Person | null>(KEY, null) : recorder;

/** Whether a record may be sent now: by its author, or by anybody if it is the device's. */
export const maySend = (by: Person | null | undefined): boolean =>
  !by || by.accountId === inNow?.accountId;
