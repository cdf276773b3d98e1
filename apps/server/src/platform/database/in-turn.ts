import type { EntityManager } from '@mikro-orm/postgresql';

/**
 * How questions that do not wait for each other's answers are asked: together, or inside a transaction, which has
 * one connection, each when the one before was answered.
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
