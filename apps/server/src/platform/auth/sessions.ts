import connectPgSimple from 'connect-pg-simple';
import session from 'express-session';
import type { OnModuleDestroy } from '@nestjs/common';
import type { IncomingMessage } from 'node:http';
import type { Request, RequestHandler, Response } from 'express';
import type { SignedIn } from './caller.js';
import { LRUCache } from 'lru-cache';
import pg from 'pg';

const DAY_MS = 24 * 60 * 60 * 1000;
/** How long a person stays signed in. */
export const SIGNED_IN_MS = 30 * DAY_MS;
/** How long a club's shared device stays signed in: a whole season without anybody signing it in again. */
export const FLOOR_SIGNED_IN_MS = 365 * DAY_MS;
const CONNECTIONS = 3;
const PRUNE_EVERY_S = 60 * 60;

/** Name of the session cookie. */
export const SESSION_COOKIE = 'orthokin';

const PgStore = connectPgSimple(session);

const MOST_READ = 10_000;
/** How long a session is cached: one page sends several requests at once. */
const READ_FOR_MS = 1000;

/**
 * Sessions in PostgreSQL, cached for a second. One that is ended by another server is over here a second later; one
 * that is ended here is over at once.
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
    // A copy, because the request may change it.
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

  /** Empties the cache after sessions were deleted directly. */
  readAnew(): void {
    this.read.clear();
  }
}

/** Device sessions, stored in PostgreSQL so that every server knows them; deleting the row ends the session. */
export class Sessions implements OnModuleDestroy {
  /** Loads a request's session; a new one is stored only once something is put into it. */
  readonly middleware: RequestHandler;
  private readonly pool: pg.Pool;
  private readonly store: Store;
  private readonly listeners: (() => void)[] = [];

  /** @param secret signs the cookies, so that a copy of the table is not enough to sign in */
  constructor(databaseUrl: string, secret: string) {
    this.pool = new pg.Pool({ connectionString: databaseUrl, max: CONNECTIONS });
    // A connection that breaks while idle is replaced on the next use.
    this.pool.on('error', () => undefined);
    this.store = new Store({
      ...{ pool: this.pool, tableName: 'web_session', pruneSessionInterval: PRUNE_EVERY_S },
      // `disableTouch`: sessions have a fixed end, so nothing is written per request.
      ...{ disableTouch: true, createTableIfMissing: false, errorLog: () => undefined },
    });
    this.middleware = session({
      ...{ store: this.store, secret, name: SESSION_COOKIE },
      ...{ resave: false, saveUninitialized: false },
      cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', maxAge: SIGNED_IN_MS },
    });
  }

  /** What a connection's device is signed in as, for WebSocket upgrades, which pass no middleware. */
  of(request: IncomingMessage): Promise<SignedIn | null> {
    // On a derived object, so that the session is read afresh and not the one loaded for an earlier check.
    const asked = Object.create(request, {
      session: { value: undefined, writable: true },
    }) as Request;
    return new Promise((done) => {
      // The response is a dummy: nothing is sent, so no cookie is set either.
      void this.middleware(asked, {} as Response, () => done(asked.session.signedIn ?? null));
    });
  }

  /** Call after deleting sessions from their table: ends them here at once. */
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
