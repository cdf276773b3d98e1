import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import type { OnModuleDestroy } from '@nestjs/common';
import type { IncomingMessage } from 'node:http';
import type { Request, RequestHandler, Response } from 'express';
import type { SignedIn } from './caller.js';
import { LRUCache } from 'lru-cache';
import pg from 'pg';

const DAY_MS = 24 * 60 * 60 * 1000;
/** A person's; whoever trains comes back within it. */
export const SIGNED_IN_MS = 30 * DAY_MS;
/** A floor device's: nobody signs it in again in the middle of a season. */
export const FLOOR_SIGNED_IN_MS = 365 * DAY_MS;
const CONNECTIONS = 3;
const PRUNE_EVERY_S = 60 * 60;

/** The cookie that says which session is a device's. */
export const SESSION_COOKIE = 'orthokin';

const PgStore = connectPgSimple(session);

const MOST_READ = 10_000;
/** A page asks several things at once: its session is read for all of them. */
const READ_FOR_MS = 1000;

/**
 * Sessions as the database has them, read once a second at most. One that is ended at another server is
 * over here that much later; one that is ended here is over at once.
 */
class Store extends PgStore {
  private readonly read = new LRUCache<string, session.SessionData>({
    max: MOST_READ,
    ttl: READ_FOR_MS,
  });

  override get(
    sid: string,
    done: (error: unknown, found?: session.SessionData | null) => void,
  ): void {
    const read = this.read.get(sid);
    // Each request has one of its own: it may change it.
    if (read) done(null, structuredClone(read));
    else
      super.get(sid, (error: unknown, found?: session.SessionData | null) => {
        if (found) this.read.set(sid, structuredClone(found));
        done(error, found);
      });
  }

  override set(sid: string, data: session.SessionData, done?: () => void): void {
    this.read.delete(sid);
    super.set(sid, data, done);
  }

  override destroy(sid: string, done?: () => void): void {
    this.read.delete(sid);
    super.destroy(sid, done);
  }

  /** Some were ended past it. */
  readAnew(): void {
    this.read.clear();
  }
}

/**
 * Sessions of devices, in PostgreSQL: any server of the database knows them, and one that is taken
 * out of its table is over.
 */
export class Sessions implements OnModuleDestroy {
  /** Finds the session of a request, or gives it an empty one that is kept once there is something in it. */
  readonly middleware: RequestHandler;
  private readonly pool: pg.Pool;
  private readonly store: Store;
  private readonly listeners: (() => void)[] = [];

  /** `secret` signs the cookie: whoever has the table alone is let in nowhere. */
  constructor(databaseUrl: string, secret: string) {
    this.pool = new pg.Pool({ connectionString: databaseUrl, max: CONNECTIONS });
    // A connection that breaks while it idles is made anew when it is wanted.
    this.pool.on('error', () => undefined);
    this.store = new Store({
      ...{ pool: this.pool, tableName: 'web_session', pruneSessionInterval: PRUNE_EVERY_S },
      // It ends when it was said to: nothing is written with every request.
      ...{ disableTouch: true, createTableIfMissing: false, errorLog: () => undefined },
    });
    this.middleware = session({
      ...{ store: this.store, secret, name: SESSION_COOKIE },
      ...{ resave: false, saveUninitialized: false },
      cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: SIGNED_IN_MS },
    });
  }

  /** What the device of a connection is signed in as: a connection's first request passes no middleware. */
  of(request: IncomingMessage): Promise<SignedIn | null> {
    // A session that was read with an earlier question stays with it: this one is read anew.
    const asked = Object.create(request, {
      session: { value: undefined, writable: true },
    }) as Request;
    return new Promise((done) => {
      // Nothing is answered here: a session that is only read sets no cookie.
      void this.middleware(asked, {} as Response, () => done(asked.session.signedIn ?? null));
    });
  }

  /** Sessions were taken out of their table here: they are over at once. */
  readAnew(): void {
    this.store.readAnew();
    for (const listener of this.listeners) listener();
  }

  onReadAnew(listener: () => void): void {
    this.listeners.push(listener);
  }

  async onModuleDestroy(): Promise<void> {
    this.store.close();
    await this.pool.end();
  }
}
