import { remember, remembered } from './preferences.js';

/** Somebody with an account. */
export interface Person {
  readonly accountId: string;
  readonly name: string;
}

const KEY = 'recorder';

let inNow: Person | null = null;
/** As this page knows it; before it does, as the device remembers it. */
let recorder: Person | null | undefined;

/** Says who is signed in on this device now; `null` for nobody, or for no person. */
export function isIn(person: Person | null, isSignedIn: boolean): void {
  inNow = person;
  // Whoever was signed out in the middle of something is still the one who records it.
  if (!isSignedIn) return;
  recorder = person;
  remember(KEY, person);
}

/** Whose is what is recorded now; `null` where it is the device's. */
export const recordsNow = (): Person | null =>
  recorder === undefined ? remembered<Person | null>(KEY, null) : recorder;

/** Whether what somebody recorded may be sent now: by themselves, or by anybody where it was the device's. */
export const maySend = (by: Person | null | undefined): boolean =>
  !by || by.accountId === inNow?.accountId;
