import type { EntityClass, EntityManager } from '@mikro-orm/postgresql';
import { conflict } from '../http/refusals.js';
import type { ClubOwned } from './club-owned.js';

/** A row with a revision count, for optimistic locking. */
type Revised = ClubOwned & { readonly revision: number };

/**
 * Inserts a row, or updates it if its revision is the expected one; refused if somebody else changed it meanwhile.
 * Sending the same again changes nothing.
 */
export async function saveRevised<Row extends Revised>(
  em: EntityManager,
  entity: EntityClass<Row>,
  row: Omit<Row, symbol>,
  what: string,
): Promise<void> {
  const { props, tableName } = em.getMetadata().get<Row>(entity.name);
  const columns = props.map(({ name, fieldNames }) => {
    const value = (row as Readonly<Record<string, unknown>>)[name] ?? null;
    const column = fieldNames[0] ?? name;
    return typeof value === 'object' && value !== null
      ? { column, place: '?::jsonb', value: JSON.stringify(value) }
      : { column, place: '?', value };
  });
  const rows = await em.execute<unknown[]>(
    `insert into "${tableName}" (${columns.map(({ column }) => `"${column}"`).join(', ')})
     values (${columns.map(({ place }) => place).join(', ')})
     on conflict (club_id, id) do update
       set ${columns.map(({ column }) => `"${column}" = excluded."${column}"`).join(', ')}
     where "${tableName}".revision = excluded.revision - 1 or "${tableName}" = excluded
     returning revision`,
    columns.map(({ value }) => value),
  );
  if (rows.length > 0) return;
  const [now] = await em.execute<{ revision: number }[]>(
    `select revision from "${tableName}" where club_id = ? and id = ?`,
    [row.clubId, row.id],
  );
  throw conflict(
    'revision',
    String(row.revision),
    `${(now?.revision ?? 0) + 1}: somebody else has changed this ${what} meanwhile`,
  );
}
