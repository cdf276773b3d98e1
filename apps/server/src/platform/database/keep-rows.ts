import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * Keeps rows that were worked out, in a transaction of their own. The ORM is made to forget them: it would compare
 * each with itself when the transaction ends, and hand all of them on to whoever asked.
 */
export async function keepRows<Row extends object>(
  em: EntityManager,
  entity: new () => Row,
  rows: readonly Row[],
): Promise<void> {
  if (rows.length > 0) await em.upsertMany(entity, [...rows]);
  em.clear();
}
