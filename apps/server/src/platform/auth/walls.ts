import type { EntityManager } from '@mikro-orm/postgresql';
import { scopeNow, type Scope } from './scope.js';

/** An id no athlete has. An empty list of athletes must show nobody, not everybody. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

const valuesOf = ({ clubId, athleteIds }: Scope): [club: string, athletes: string] => [
  clubId ?? '',
  athleteIds === null ? '' : athleteIds.join(',') || NOBODY,
];

const TELL = {
  name: 'scope',
  text: `select set_config('app.club', $1, false), set_config('app.athletes', $2, false)`,
};

/** The part of knex's connection that is used here. */
interface Connection {
  readonly query: (statement: Statement) => Promise<unknown>;
}

/** Named, so that PostgreSQL parses it once per connection. */
interface Statement {
  readonly name: string;
  readonly text: string;
  readonly values: readonly string[];
}

interface Pool {
  acquireConnection: () => Promise<Connection>;
  releaseConnection: (connection: Connection) => Promise<void>;
}

/**
 * Sets the scope on every connection taken from the pool, for the tables' row-level security policies. A connection
 * already in the right scope is left alone, so most requests need no extra query.
 */
export function buildWalls(em: EntityManager): void {
  const pool = em.getConnection().getKnex().client as Pool;
  const handOut = pool.acquireConnection.bind(pool);
  const told = new WeakMap<Connection, string>();
  pool.acquireConnection = async () => {
    const connection = await handOut();
    const values = valuesOf(scopeNow());
    const scope = values.join(' ');
    if (told.get(connection) !== scope) {
      // If setting it fails, the connection's scope is unknown.
      told.delete(connection);
      try {
        await connection.query({ ...TELL, values });
      } catch (error) {
        // The caller never gets this connection, so it has to be released here or the pool loses it for good.
        await pool.releaseConnection(connection);
        throw error;
      }
      told.set(connection, scope);
    }
    return connection;
  };
}
