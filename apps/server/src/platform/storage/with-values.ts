import type { EntityManager, Knex } from '@mikro-orm/postgresql';

/** A parameterised statement, ready to be sent. */
interface Statement<Answer> extends PromiseLike<Answer> {
  transacting(transaction: Knex.Transaction): PromiseLike<Answer>;
}

/**
 * Runs a built query in the current transaction, with its values as parameters.
 * @throws the ORM's exceptions, like any of its statements
 */
export async function bound<Answer>(
  em: EntityManager,
  statement: Statement<Answer>,
): Promise<Answer> {
  const transaction = em.getTransactionContext<Knex.Transaction>();
  try {
    return await (transaction ? statement.transacting(transaction) : statement);
  } catch (error) {
    throw error instanceof Error
      ? em.getPlatform().getExceptionConverter().convertException(error)
      : error;
  }
}

/**
 * Runs SQL with its values sent as parameters. The ORM would write them into the statement's text, which for a
 * thousand rows in one value takes as long as storing them.
 * @param sql with a `?` for each value
 * @returns the rows
 * @throws the ORM's exceptions, like any of its statements
 */
export async function withValues<Row extends object>(
  em: EntityManager,
  sql: string,
  values: readonly (string | null)[],
): Promise<Row[]> {
  return (await bound(em, em.getKnex().raw<{ rows: Row[] }>(sql, [...values]))).rows;
}
