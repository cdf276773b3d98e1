import type { EntityClass, EntityManager } from '@mikro-orm/postgresql';
import { openSealed, Sealed } from './sealed.js';

/**
 * Rows of a table as plain objects, for thousands that are only read: making entities of them takes
 * three times as long, and all their memory at once.
 * @param rest of the question, behind `from table`
 */
export async function plainRows<Row extends object>(
  em: EntityManager,
  entity: EntityClass<Row>,
  rest: string,
  params: readonly unknown[],
): Promise<Row[]> {
  const { props, tableName } = em.getMetadata().get<Row>(entity.name);
  const columns = props.map(({ name, fieldNames }) => `"${fieldNames[0] ?? name}" as "${name}"`);
  const rows = await em.execute<Record<string, unknown>[]>(
    `select ${columns.join(', ')} from "${tableName}" ${rest}`,
    [...params],
  );
  const platform = em.getPlatform();
  // Moments come as text, and so does what is larger than a column's own kind of number.
  const read: Readonly<Record<string, (value: string) => unknown>> = {
    Date: (value) => platform.parseDate(value),
    number: Number,
  };
  const converted = props.flatMap(({ name, runtimeType, customType }) => {
    const convert = customType instanceof Sealed ? openSealed : read[runtimeType];
    return convert ? [{ name: name, convert }] : [];
  });
  for (const row of rows)
    for (const { name, convert } of converted) {
      const value = row[name];
      if (typeof value === 'string') row[name] = convert(value);
    }
  return rows as Row[];
}
