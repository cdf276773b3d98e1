import { ConnectionException } from '@mikro-orm/core';

/** SQLSTATE classes and network error codes that mean the database is unavailable or overloaded. */
const AWAY = /^(08|53|57P|58)|^(ECONNREFUSED|ECONNRESET|ENOTFOUND|EPIPE|ETIMEDOUT)$/;
/** What drivers say of a lost connection that has no code. */
const LOST =
  /Timeout acquiring a connection|Connection terminated|Unable to acquire|terminating connection|not queryable/;

export const DATABASE_AWAY =
  'The database does not answer at the moment; nothing was changed. Try again.';

/** An error's SQLSTATE or network error code; empty if it has none. */
export const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';

/** Whether the database is away, full, starting or overloaded, so that the same request may succeed later. */
export const isAway = (error: unknown): boolean =>
  error instanceof ConnectionException ||
  AWAY.test(codeOf(error)) ||
  (error instanceof Error && LOST.test(error.message));
