import type { EntityClass, EntityManager } from '@mikro-orm/postgresql';
import { openSealed, Sealed } from './sealed.js';

/**
 * Rows as plain objects, for reading thousands at once: entities take three times as long, and stay in memory
 * together.
 * @param rest the SQL after `from table`
 */
export const plainRows = async <Row extends object>(
  em: EntityManager,
  entity: EntityClass<Row>,
  rest: string,
  params: readonly unknown[],
): Promise<Row[]> => (await read(em, entity, rest, params)) as Row[];

/** Like {@link plainRows}, with some JSON fields left as text. */
export const plainRowsWithText = async <Row extends object, Field extends keyof Row & string>(
  em: EntityManager,
  entity: EntityClass<Row>,
  asText: readonly Field[],
  rest: string,
  params: readonly unknown[],
): Promise<(Omit<Row, Field> & Readonly<Record<Field, string>>)[]> =>
  (await read(em, entity, rest, params, asText)) as (Omit<Row, Field> &
    Readonly<Record<Field, string>>)[];

async function read<Row extends object>(
  em: EntityManager,
  entity: EntityClass<Row>,
  rest: string,
  params: readonly unknown[],
  asText: readonly string[] = [],
): Promise<Record<string, unknown>[]> {
  const { props, tableName } = em.getMetadata().get<Row>(entity.name);
  const columns = props.map(({ name, fieldNames }) => {
    const column = `"${fieldNames[0] ?? name}"`;
    return `${column}${asText.includes(name) ? '::text' : ''} as "${name}"`;
  });
  const rows = await em.execute<Record<string, unknown>[]>(
    `select ${columns.join(', ')} from "${tableName}" ${rest}`,
    [...params],
  );
  const platform = em.getPlatform();
  // The driver returns dates, and numbers too large for their column's type, as text.
  const conversions: Readonly<Record<string, (value: string) => unknown>> = {
    Date: (value) => platform.parseDate(value),
    number: Number,
  };
  const converted = props.flatMap(({ name, runtimeType, customType }) => {
    const convert = customType instanceof Sealed ? openSealed : conversions[runtimeType];
    return convert ? [{ name: name, convert }] : [];
  });
  for (const row of rows)
    for (const { name, convert } of converted) {
      const value = row[name];
      if (typeof value === 'string') row[name] = convert(value);
    }
  return rows;
}
