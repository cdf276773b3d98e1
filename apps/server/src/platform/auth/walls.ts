import type { EntityManager } from '@mikro-orm/postgresql';
import { scopeNow, type Scope } from './scope.js';

/** No athlete has this id: whoever stands for nobody sees nobody, not everybody. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

const valuesOf = ({ clubId, athleteIds }: Scope): [club: string, athletes: string] => [
  clubId ?? '',
  athleteIds === null ? '' : athleteIds.join(',') || NOBODY,
];

const TELL = {
  name: 'scope',
  text: `select set_config('app.club', $1, false), set_config('app.athletes', $2, false)`,
};

/** What the pool hands out, as far as it matters here. */
interface Connection {
  readonly query: (statement: Statement) => Promise<unknown>;
}

/** One with a name is read by the database once for each connection, not each time. */
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
 * Tells the database whose rows to show before anything is asked of it (see the policies of the
 * tables): every connection that is handed out is in the scope of whoever asked for it. A connection
 * that is in it already is not told again, so that most requests cost no question more.
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
      // Should telling fail, it is not known what the connection shows.
      told.delete(connection);
      try {
        await connection.query({ ...TELL, values });
      } catch (error) {
        // Nobody else would give it back: a broken one kept is one that the pool has less, for good.
        await pool.releaseConnection(connection);
        throw error;
      }
      told.set(connection, scope);
    }
    return connection;
  };
}
