import { AsyncLocalStorage } from 'node:async_hooks';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Logger, type OnModuleDestroy } from '@nestjs/common';

/** Where the log of the database's changes is, or was: of two the later is the greater. */
export type Position = string;

export const POSITION = /^[0-9A-F]{1,8}\/[0-9A-F]{1,8}$/;

/** What a page shows is at most about so old, wherever it is read. */
const OLDEST_MS = 2000;
const LOOK_EVERY_MS = 500;
/** One that did not answer is left alone for so long. */
const LEFT_ALONE_MS = 5000;
/** Whoever waits longer for a connection is served sooner by the leader. */
const LONGEST_WAIT_MS = 500;
/** Whoever waits longer for an answer, too: a cable that was pulled says nothing. */
const LONGEST_QUERY_MS = 1500;

/** What the pool hands out, as far as it matters here. */
interface Connection {
  readonly query: (
    text: string,
    values: readonly unknown[],
  ) => Promise<{ readonly rows: readonly { readonly isFresh: boolean }[] }>;
}

interface Pool {
  acquireConnection: () => Promise<Connection>;
  releaseConnection: (connection: Connection) => Promise<void>;
}

/** One request that is read, and where. */
interface Reading {
  /** It shows at least what was written up to here. */
  readonly after: readonly Position[];
  isAtLeader: boolean;
  /** Whether any of it was read from a standby. */
  wasNear: boolean;
  readonly fresh: WeakSet<Connection>;
}

/** How the ORM is told of a standby. */
export const standbyOptions = (url: string) => ({
  clientUrl: url,
  driverOptions: {
    acquireConnectionTimeout: LONGEST_WAIT_MS,
    // One that is being made is waited for when the server ends.
    pool: { createTimeoutMillis: LONGEST_WAIT_MS },
    connection: { query_timeout: LONGEST_QUERY_MS },
  },
});

/**
 * Lets requests that only read be read from a standby of the database, where it is fresh enough for them:
 * it has what the one who asks wrote last, and all that was there a moment ago. Whatever else is wanted of
 * the database, and all that is written, goes to the leader as before.
 */
export class Standby implements OnModuleDestroy {
  private readonly log = new Logger('standby');
  private readonly readings = new AsyncLocalStorage<Reading>();
  private readonly leader: Pool;
  private readonly near: Pool;
  private readonly acquireAtLeader: Pool['acquireConnection'];
  private readonly lent = new WeakSet<Connection>();
  /** Where the leader was at which times; the first was about so long ago as anything shown may be old. */
  private seen: { readonly at: number; readonly position: Position }[] = [];
  private leftAloneUntil = 0;
  private readonly looking = setInterval(() => void this.look(), LOOK_EVERY_MS);

  /** Must come before the walls are built: whoever gets a connection of either pool is told whose rows it shows. */
  constructor(private readonly em: EntityManager) {
    this.leader = em.getConnection().getKnex().client as Pool;
    this.near = em.getConnection('read').getKnex().client as Pool;
    this.acquireAtLeader = this.leader.acquireConnection.bind(this.leader);
    const release = this.leader.releaseConnection.bind(this.leader);
    this.leader.acquireConnection = () => this.acquire();
    this.leader.releaseConnection = (connection) =>
      this.lent.delete(connection) ? this.near.releaseConnection(connection) : release(connection);
  }

  onModuleDestroy(): void {
    clearInterval(this.looking);
  }

  /** Where the leader is now. */
  async position(): Promise<Position> {
    const [row] = await this.em
      .fork()
      .execute<{ position: Position }[]>(`select pg_current_wal_lsn()::text as position`);
    return row?.position ?? '0/0';
  }

  /**
   * Reads something from a standby, where one is fresh enough; once more from the leader where that does
   * not come to its end: it may turn out that something must be written, or is not there yet.
   */
  async read<Value>(
    after: readonly Position[],
    work: () => Promise<Value>,
  ): Promise<{ readonly value: Value; readonly wasNear: boolean }> {
    const atLeader = async () => ({ value: await work(), wasNear: false });
    const [oldest] = this.seen;
    if (!oldest) return atLeader();
    const reading: Reading = {
      after: [...after, oldest.position],
      ...{ isAtLeader: false, wasNear: false, fresh: new WeakSet() },
    };
    try {
      const value = await this.readings.run(reading, work);
      return { value, wasNear: reading.wasNear };
    } catch (error) {
      if (!reading.wasNear) throw error;
      return await atLeader();
    } finally {
      // What the request has begun and does not wait for may write.
      reading.isAtLeader = true;
    }
  }

  private async acquire(): Promise<Connection> {
    const reading = this.readings.getStore();
    if (!reading || reading.isAtLeader) return this.acquireAtLeader();
    const connection = await this.acquireNear(reading);
    if (connection) {
      reading.wasNear = true;
      return connection;
    }
    // What is read of one request comes from one side from here on.
    reading.isAtLeader = true;
    return this.acquireAtLeader();
  }

  private async acquireNear({ after, fresh }: Reading): Promise<Connection | null> {
    if (Date.now() < this.leftAloneUntil) return null;
    let connection: Connection | null = null;
    try {
      connection = await this.near.acquireConnection();
      if (fresh.has(connection) || (await this.isAfter(connection, after))) {
        fresh.add(connection);
        this.lent.add(connection);
        return connection;
      }
    } catch (error) {
      this.leftAloneUntil = Date.now() + LEFT_ALONE_MS;
      this.log.warn(`No standby answers; pages are read from the leader: ${String(error)}`);
    }
    if (connection) await this.near.releaseConnection(connection);
    return null;
  }

  private async isAfter(connection: Connection, positions: readonly Position[]): Promise<boolean> {
    // One that has become the leader meanwhile has no place it has come to: it is there.
    const { rows } = await connection.query(
      `select (case when pg_is_in_recovery() then pg_last_wal_replay_lsn()
                    else pg_current_wal_lsn() end) >= all($1::pg_lsn[]) as "isFresh"`,
      [positions],
    );
    return rows[0]?.isFresh ?? false;
  }

  /** A leader that is away is where it was when it was seen last: a standby with all of that will do. */
  private async look(): Promise<void> {
    const position = await this.position().catch(() => null);
    const at = Date.now();
    if (position !== null) this.seen.push({ at, position });
    while (this.seen.length > 1 && at - (this.seen[1]?.at ?? at) >= OLDEST_MS) this.seen.shift();
  }
}
