import { AsyncLocalStorage } from 'node:async_hooks';

/** Whose rows the database shows: those of one club, or of it only what is of some athletes. */
export interface Scope {
  readonly clubId: string | null;
  /** `null` for everybody's. */
  readonly athleteIds: readonly string[] | null;
}

/** Outside of any club nothing is shown: what forgets to say whose it is finds nothing. */
const NOWHERE: Scope = { clubId: null, athleteIds: null };

const scopes = new AsyncLocalStorage<Scope>();

export const scopeNow = (): Scope => scopes.getStore() ?? NOWHERE;

/** Does something with the rows of a scope, and of no other, before it. */
export const within = <Value>(scope: Scope, work: () => Value): Value => scopes.run(scope, work);

/** Does something with all of a club before it, whoever it is done for: what is shown of it is chosen after. */
export const withinClub = <Value>(clubId: string, work: () => Value): Value =>
  within({ clubId, athleteIds: null }, work);
