import type { EntityManager } from '@mikro-orm/postgresql';
import { asCounted, holdUnchanged } from '../domains/athletes/hold-athletes.js';
import { keepRows } from '../platform/database/keep-rows.js';

/** Something derived per athlete, and where it is cached. */
export interface WorkedOut<Row extends object> {
  readonly entity: new () => Row;
  readonly athleteOf: (row: Row) => string;
  /** Works out the rows of some athletes from the current data. */
  readonly workOut: (athleteIds: readonly string[]) => Promise<readonly Row[]>;
}

/**
 * Works something out for athletes and caches it, without locking anybody: nobody who records a rep has to wait. If
 * an athlete changed before the result could be stored, the result is returned, being no older than the question, but
 * not stored: cached rows are never older than their sources.
 * @returns the rows of all athletes that exist
 */
export async function keepWorkedOut<Row extends object>(
  em: EntityManager,
  clubId: string,
  athleteIds: readonly string[],
  { entity, athleteOf, workOut }: WorkedOut<Row>,
): Promise<readonly Row[]> {
  if (athleteIds.length === 0) return [];
  const counted = await asCounted(em, clubId, athleteIds);
  const rows = await workOut(counted.map(({ id }) => id));
  await em.transactional(async (tx) => {
    const unchanged = new Set(await holdUnchanged(tx, clubId, counted));
    await keepRows(
      tx,
      entity,
      rows.filter((row) => unchanged.has(athleteOf(row))),
    );
  });
  return rows;
}
