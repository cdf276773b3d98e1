import type { EntityManager } from '@mikro-orm/postgresql';
import { asCounted, holdUnchanged } from '../domains/athletes/hold-athletes.js';
import { keepRows } from '../platform/database/keep-rows.js';

/** What is worked out of athletes, and where it is kept. */
export interface WorkedOut<Row extends object> {
  readonly entity: new () => Row;
  readonly athleteOf: (row: Row) => string;
  /** Rows of some athletes, from all that is in the database of them now. */
  readonly workOut: (athleteIds: readonly string[]) => Promise<readonly Row[]>;
}

/**
 * Works something out of athletes and keeps it. Nobody is held meanwhile: whoever times one of them does not wait for
 * it. Of whom something has changed before it could be kept, what was worked out answers this question, being no older
 * than it, and is not kept: what is kept is never older than what it was worked out from.
 * @returns all rows, of those athletes who are there
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
