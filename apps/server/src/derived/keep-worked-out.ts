import type { EntityManager } from '@mikro-orm/postgresql';
import { countChanges, holdAthletes, holdUnchanged } from '../domains/athletes/hold-athletes.js';
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
 * it. Of whom something has changed before it could be kept, they are held and it is worked out anew: what is kept is
 * never older than what it was worked out from.
 * @returns all rows, of those athletes who are there
 */
export async function keepWorkedOut<Row extends object>(
  em: EntityManager,
  clubId: string,
  athleteIds: readonly string[],
  { entity, athleteOf, workOut }: WorkedOut<Row>,
): Promise<Row[]> {
  if (athleteIds.length === 0) return [];
  const before = await countChanges(em, clubId, athleteIds);
  const made = await workOut(before.map(({ id }) => id));
  const { held, kept } = await em.transactional(async (tx) => {
    const held = new Set(await holdUnchanged(tx, clubId, before));
    const kept = made.filter((row) => held.has(athleteOf(row)));
    await keepRows(tx, entity, kept);
    return { held, kept };
  });
  const changed = before.map(({ id }) => id).filter((id) => !held.has(id));
  if (changed.length === 0) return kept;
  return em.transactional(async (tx) => {
    const anew = await workOut(await holdAthletes(tx, clubId, changed));
    await keepRows(tx, entity, anew);
    return [...kept, ...anew];
  });
}
