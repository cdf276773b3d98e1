import type { EntityManager } from '@mikro-orm/postgresql';
import { withValues } from '../storage/with-values.js';

/**
 * Keeps rows that were worked out, in a transaction of their own, in the place of those that were kept before; they
 * go to the database as one value, as plain as they are. The ORM is made to forget what it read for them: it would
 * compare each with itself when the transaction ends.
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
