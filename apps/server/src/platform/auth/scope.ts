import { AsyncLocalStorage } from 'node:async_hooks';

/** Whose rows PostgreSQL shows: a club's, or within it only those of some athletes. */
export interface Scope {
  readonly clubId: string | null;
  /** `null`: all athletes. */
  readonly athleteIds: readonly string[] | null;
}

/** Without a scope no rows are shown: code that forgets to set one finds nothing. */
const NOWHERE: Scope = { clubId: null, athleteIds: null };

const scopes = new AsyncLocalStorage<Scope>();

export const scopeNow = (): Scope => scopes.getStore() ?? NOWHERE;

/** Runs `work` in a scope. */
export const within = <Value>(scope: Scope, work: () => Value): Value => scopes.run(scope, work);

/** Runs `work` with all of a club in scope, whoever asked; the caller must then select what that person may see. */
export const withinClub = <Value>(clubId: string, work: () => Value): Value =>
  within({ clubId, athleteIds: null }, work);
