import type { EntityManager, Knex } from '@mikro-orm/postgresql';

/** A statement and its values, ready to be sent. */
interface Statement<Answer> extends PromiseLike<Answer> {
  transacting(transaction: Knex.Transaction): PromiseLike<Answer>;
}

/**
 * Runs what was built elsewhere, with its values beside it, in the transaction there is.
 * @throws the ORM's exceptions, as any statement of its own
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
 * Runs a statement with its values beside it, as the database takes them. The ORM writes values into the statement's
 * text: of a thousand rows in one value that takes as long as storing them.
 * @param sql with a `?` for each value
 * @returns the rows it answers with
 * @throws the ORM's exceptions, as any statement of its own
 */
export async function withValues<Row extends object>(
  em: EntityManager,
  sql: string,
  values: readonly (string | null)[],
): Promise<Row[]> {
  return (await bound(em, em.getKnex().raw<{ rows: Row[] }>(sql, [...values]))).rows;
}
