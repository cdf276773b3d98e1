import { isDeepStrictEqual } from 'node:util';
import type { EntityClass, EntityManager, FilterQuery } from '@mikro-orm/postgresql';
import { conflict } from '../http/refusals.js';
import type { ClubOwned } from './club-owned.js';
import { plain } from './plain.js';
import { bound } from './with-values.js';

/**
 * Inserts a row under the id its client chose. Sending the same again changes nothing; sending different content
 * under the same id is refused, and the first stays.
 */
export async function insertOnce<Row extends ClubOwned>(
  em: EntityManager,
  entity: EntityClass<Row>,
  row: Pick<Row, 'clubId' | 'id'> & Partial<Row>,
): Promise<void> {
  const { rowCount } = await bound<{ rowCount: number }>(
    em,
    em
      .createQueryBuilder(entity)
      .insert(row as never)
      .onConflict(['clubId', 'id'] as never)
      .ignore()
      .getKnexQuery(),
  );
  if (rowCount === 1) return;
  const key = { clubId: row.clubId, id: row.id } as FilterQuery<Row>;
  const stored: Partial<Row> = await em.findOneOrFail(entity, key);
  const differs = (Object.keys(row) as (keyof Row & string)[]).find(
    (column) => !isDeepStrictEqual(plain(stored[column]), plain(row[column])),
  );
  if (differs)
    throw conflict(differs, JSON.stringify(row[differs]), `what is stored under ${row.id} already`);
}
