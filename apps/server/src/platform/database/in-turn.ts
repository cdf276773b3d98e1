import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * Returns how to run independent queries: in parallel, or one after another inside a transaction, which has only one
 * connection.
 */
export function inTurn(em: EntityManager): <Value>(ask: () => Promise<Value>) => Promise<Value> {
  if (!em.isInTransaction()) return (ask) => ask();
  let before: Promise<unknown> = Promise.resolve();
  return (ask) => {
    const answer = before.then(ask);
    before = answer;
    return answer;
  };
}
