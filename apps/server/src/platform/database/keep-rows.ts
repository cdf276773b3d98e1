import type { EntityManager } from '@mikro-orm/postgresql';
import { withValues } from '../storage/with-values.js';

/**
 * Upserts derived rows, sent as one JSON value. To be called in a transaction of its own: it clears the ORM's identity
 * map, which would otherwise compare every entity read so far when the transaction commits.
 */
export async function keepRows<Row extends object>(
  em: EntityManager,
  entity: new () => Row,
  rows: readonly Row[],
): Promise<void> {
  if (rows.length > 0) {
    const { props, tableName } = em.getMetadata().get<Row>(entity.name);
    const columns = props.map(({ name, fieldNames, primary }) => ({
      ...{ name, column: fieldNames[0] ?? name, isKey: primary === true },
    }));
    const all = columns.map(({ column }) => column).join(', ');
    const keys = columns.filter(({ isKey }) => isKey);
    const others = columns.filter(({ isKey }) => !isKey);
    await withValues(
      em,
      `insert into ${tableName} (${all})
       select ${all} from jsonb_populate_recordset(null::${tableName}, ?::jsonb)
       on conflict (${keys.map(({ column }) => column).join(', ')})
       do update set ${others.map(({ column }) => `${column} = excluded.${column}`).join(', ')}`,
      [
        JSON.stringify(
          rows.map((row) =>
            Object.fromEntries(columns.map(({ name, column }) => [column, row[name]])),
          ),
        ),
      ],
    );
  }
  em.clear();
}
