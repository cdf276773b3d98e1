import { AsyncLocalStorage } from 'node:async_hooks';
import type { EntityManager } from '@mikro-orm/postgresql';
import { Logger, type OnModuleDestroy } from '@nestjs/common';

/** A position in PostgreSQL's write-ahead log (`pg_lsn`); the greater is the later. */
export type Position = string;

export const POSITION = /^[0-9A-F]{1,8}\/[0-9A-F]{1,8}$/;

/** The oldest state, relative to the leader, that a page may show. */
const OLDEST_MS = 2000;
const LOOK_EVERY_MS = 500;
/** How long a standby is not asked again after it failed. */
const LEFT_ALONE_MS = 5000;
/** How long to wait for a connection to the standby before the leader is asked instead. */
const LONGEST_WAIT_MS = 500;
/** How long to wait for a query there: an unplugged cable gives no error. */
const LONGEST_QUERY_MS = 1500;

/** The part of knex's connection that is used here. */
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

/** A request being served, and where it reads. */
interface Reading {
  /** The standby must have replayed all of these. */
  readonly after: readonly Position[];
  isAtLeader: boolean;
  /** Whether anything was read from a standby. */
  wasNear: boolean;
  readonly fresh: WeakSet<Connection>;
}

/** The ORM's options for a standby's pool. */
export const standbyOptions = (url: string) => ({
  clientUrl: url,
  driverOptions: {
    acquireConnectionTimeout: LONGEST_WAIT_MS,
    // A connection still being opened is waited for at shutdown.
    pool: { createTimeoutMillis: LONGEST_WAIT_MS },
    connection: { query_timeout: LONGEST_QUERY_MS },
  },
});

/**
 * Lets read-only requests read from a standby that is fresh enough: one that has replayed what the asking device
 * wrote last, and everything that was on the leader {@link OLDEST_MS} ago. Everything else, and every write, goes to
 * the leader.
 */
export class Standby implements OnModuleDestroy {
  private readonly log = new Logger('standby');
  private readonly readings = new AsyncLocalStorage<Reading>();
  private readonly leader: Pool;
  private readonly near: Pool;
  private readonly acquireAtLeader: Pool['acquireConnection'];
  private readonly lent = new WeakSet<Connection>();
  /** Positions of the leader over time, oldest first. The first is the newest that is at least `OLDEST_MS` old. */
  private seen: { readonly at: number; readonly position: Position }[] = [];
  private leftAloneUntil = 0;
  private readonly looking = setInterval(() => void this.look(), LOOK_EVERY_MS);

  /** Must be created before `buildWalls`, which has to wrap the connections of both pools. */
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

  /** The leader's current log position. */
  async position(): Promise<Position> {
    const [row] = await this.em
      .fork()
      .execute<{ position: Position }[]>(`select pg_current_wal_lsn()::text as position`);
    return row?.position ?? '0/0';
  }

  /**
   * Runs `work` against a standby if one is fresh enough. If that fails, runs it again on the leader: it may have
   * tried to write, or to read what the standby has not replayed yet.
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
      // Anything the request started and did not await may still write.
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
    // From here on this request reads from the leader only, so that it does not mix two states.
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
    // A standby that was promoted meanwhile has no replay position, but a current one.
    const { rows } = await connection.query(
      `select (case when pg_is_in_recovery() then pg_last_wal_replay_lsn()
                    else pg_current_wal_lsn() end) >= all($1::pg_lsn[]) as "isFresh"`,
      [positions],
    );
    return rows[0]?.isFresh ?? false;
  }

  /** While the leader is away its last known position counts: a standby that has replayed that may be read. */
  private async look(): Promise<void> {
    const position = await this.position().catch(() => null);
    const at = Date.now();
    if (position !== null) this.seen.push({ at, position });
    while (this.seen.length > 1 && at - (this.seen[1]?.at ?? at) >= OLDEST_MS) this.seen.shift();
  }
}
