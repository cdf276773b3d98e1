import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ClubReply, SquadLineReply } from '@orthokin/contract';
import { Client } from 'pg';
import request from 'supertest';

/** One for all servers of a database: a cookie of one is good at another. */
export const SECRET = 'of the tests';
const DAY_MS = 24 * 60 * 60 * 1000;
const ALL_BUT_DATE = [
  ...(['hrtime', 'nextTick', 'performance', 'queueMicrotask'] as const),
  ...(['setImmediate', 'clearImmediate', 'setInterval', 'clearInterval'] as const),
  ...(['setTimeout', 'clearTimeout'] as const),
];

const clusterUrl = process.env['TEST_DATABASE_URL'];

async function rowsOf<Row extends object>(url: string, sql: string): Promise<Row[]> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    // Several statements have a result each.
    const results = [await client.query<Row>(sql)].flat();
    return results.at(-1)?.rows ?? [];
  } finally {
    await client.end();
  }
}

export async function onCluster(sql: string): Promise<void> {
  if (!clusterUrl)
    throw new Error('Server tests need a PostgreSQL of their own: run "./test server".');
  await rowsOf(clusterUrl, sql);
}

/** A fresh database, with the demo club in it if there is one to copy. @returns its URL */
export async function freshDatabase({ withDemo }: { withDemo: boolean }): Promise<string> {
  const name = `server_${process.pid}_${Date.now()}`;
  const template = withDemo ? process.env['SERVER_TESTS_TEMPLATE'] : undefined;
  await onCluster(`create database ${name}${template ? ` template ${template}` : ''}`);
  const url = new URL(clusterUrl ?? '');
  url.pathname = name;
  return url.href;
}

/** How a database is reached by who owns its tables, and by who serves them. */
export function urlsOf(databaseUrl: string): { databaseUrl: string; servingUrl: string } {
  const serving = new URL(process.env['TEST_SERVING_URL'] ?? '');
  serving.pathname = new URL(databaseUrl).pathname;
  return { databaseUrl, servingUrl: serving.href };
}

const outboxOf = (databaseUrl: string): string =>
  join(tmpdir(), new URL(databaseUrl).pathname.slice(1));

/** Loads the demo as it would have been loaded then. */
async function prepareDaysAgo(databaseUrl: string, daysAgo: number): Promise<void> {
  // Few do, and to load what loads it takes longer than most tests.
  const { prepare } = await import('../../src/prepare.js');
  jest.useFakeTimers({ now: Date.now() - daysAgo * DAY_MS, doNotFake: ALL_BUT_DATE });
  await prepare({ ...urlsOf(databaseUrl), demo: 'once' });
  jest.useRealTimers();
}

/** Asks the process that serves for tests (see `serving.mjs`). @returns the port it serves at */
async function askHost(
  question: { begin: Readonly<Record<string, string>> } | { end: number },
): Promise<number> {
  const answer = await fetch(process.env['SERVER_TESTS_HOST'] ?? '', {
    method: 'POST',
    body: JSON.stringify(question),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return ((await answer.json()) as { port: number }).port;
}

/** A server over HTTP on a fresh database of its own, with the demo club in it. */
export class TestServer {
  private constructor(
    readonly address: string,
    readonly databaseUrl: string,
    readonly clubId: string,
    /** Where its letters lie. */
    readonly outbox: string,
    private readonly ended: () => Promise<unknown>,
  ) {}

  /** `daysAgo` lets the demo's weeks end so long ago: there is room for days after them, up to today. */
  static async start({ daysAgo = 0 } = {}): Promise<TestServer> {
    const databaseUrl = await freshDatabase({ withDemo: daysAgo === 0 });
    if (daysAgo > 0) await prepareDaysAgo(databaseUrl, daysAgo);
    const { servingUrl } = urlsOf(databaseUrl);
    const outbox = outboxOf(databaseUrl);
    const port = await askHost({
      begin: {
        ...{ DATABASE_URL: databaseUrl, SERVING_DATABASE_URL: servingUrl, PORT: '0' },
        ...{ OUTBOX: outbox, SESSION_SECRET: SECRET, DEMO: 'none' },
      },
    });
    return TestServer.at(`http://127.0.0.1:${port}`, databaseUrl, () => askHost({ end: port }));
  }

  /** One that is served already; `end` lets it serve no longer. */
  static async at(
    address: string,
    databaseUrl: string,
    end: () => Promise<unknown>,
  ): Promise<TestServer> {
    const [club] = (await request(address).get('/api/clubs')).body as ClubReply[];
    let ending: Promise<unknown> | null = null;
    return new TestServer(
      ...([address, databaseUrl, club?.clubId ?? '', outboxOf(databaseUrl)] as const),
      () => (ending ??= end()),
    );
  }

  /** It serves no longer; its database stays. */
  async end(): Promise<void> {
    await this.ended();
  }

  /** A statement past the door, straight into this server's database. */
  async run(sql: string): Promise<void> {
    await this.read(sql);
  }

  /** What a question past the door finds in this server's database. */
  read<Row extends object>(sql: string): Promise<Row[]> {
    return rowsOf<Row>(this.databaseUrl, sql);
  }

  async stop(): Promise<void> {
    await this.end();
    await rm(this.outbox, { recursive: true, force: true });
    // By force: the database may not have noticed yet that a thread which was storing something is gone.
    await onCluster(`drop database ${new URL(this.databaseUrl).pathname.slice(1)} with (force)`);
  }

  /** A path below this server's club. */
  club(path: string): string {
    return `/api/clubs/${this.clubId}/${path}`;
  }

  get(path: string): request.Test {
    return request(this.address).get(path);
  }

  put(path: string, body: object): request.Test {
    return request(this.address).put(path).send(body);
  }

  post(path: string): request.Test {
    return request(this.address).post(path);
  }

  delete(path: string): request.Test {
    return request(this.address).delete(path);
  }

  /** The whole club as a packed file. */
  async clubFile(): Promise<Buffer> {
    const { body } = await this.get(this.club('club.zip'))
      .buffer()
      .parse((response, done) => {
        const parts: Buffer[] = [];
        response.on('data', (part: Buffer) => parts.push(part));
        response.on('end', () => done(null, Buffer.concat(parts)));
      })
      .expect(200);
    return body as Buffer;
  }

  async squad(): Promise<SquadLineReply[]> {
    return (await this.get(this.club('squad'))).body as SquadLineReply[];
  }

  async lineOf(name: string): Promise<SquadLineReply> {
    const line = (await this.squad()).find(({ athlete }) => athlete.name === name);
    if (!line) throw new Error(`${name} is not in the demo club.`);
    return line;
  }
}
