import { isDeepStrictEqual } from 'node:util';
import type { EntityClass, EntityManager, FilterQuery } from '@mikro-orm/postgresql';
import { conflict } from '../http/refusals.js';

interface Keyed {
  clubId: string;
  id: string;
}

/**
 * Stores a row under the id its client gave it. Sent again, it changes nothing; sent again with
 * other content it is refused, and what was stored first stays.
 */
export async function insertOnce<Row extends Keyed>(
  em: EntityManager,
  entity: EntityClass<Row>,
  row: Keyed & Partial<Row>,
): Promise<void> {
  // Stored columns come back as plain objects; the request's are instances of contract's classes.
  const plain = structuredClone(row);
  const { affectedRows } = await em
    .createQueryBuilder(entity)
    .insert(plain as never)
    .onConflict(['clubId', 'id'] as never)
    .ignore()
    .execute<{ affectedRows: number }>('run');
  if (affectedRows === 1) return;
  const key = { clubId: row.clubId, id: row.id } as FilterQuery<Row>;
  const stored: Partial<Row> = await em.findOneOrFail(entity, key);
  const differs = (Object.keys(plain) as (keyof Row & string)[]).find(
    (column) => !isDeepStrictEqual(stored[column], plain[column]),
  );
  if (differs)
    throw conflict(
      differs,
      JSON.stringify(plain[differs]),
      `what is stored under ${row.id} already`,
    );
}
