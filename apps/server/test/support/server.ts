import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AddressInfo } from 'node:net';
import type { Server } from 'node:http';
import { MikroORM } from '@mikro-orm/postgresql';
import type { INestApplication } from '@nestjs/common';
import type { ClubReply, SquadLineReply } from '@orthokin/contract';
import request from 'supertest';
import { createApp } from '../../src/app.js';
import { prepare } from '../../src/prepare.js';

/** One for all servers of a database: a cookie of one is good at another. */
export const SECRET = 'of the tests';
const DAY_MS = 24 * 60 * 60 * 1000;
const ALL_BUT_DATE = [
  ...(['hrtime', 'nextTick', 'performance', 'queueMicrotask'] as const),
  ...(['setImmediate', 'clearImmediate', 'setInterval', 'clearInterval'] as const),
  ...(['setTimeout', 'clearTimeout'] as const),
];

const clusterUrl = process.env['TEST_DATABASE_URL'];

export async function onCluster(sql: string): Promise<void> {
  if (!clusterUrl)
    throw new Error('Server tests need a PostgreSQL of their own: run "./test server".');
  const orm = await MikroORM.init({
    clientUrl: clusterUrl,
    entities: [],
    discovery: { warnWhenNoEntities: false },
  });
  await orm.em.getConnection().execute(sql);
  await orm.close();
}

/** How a database is reached by who owns its tables, and by who serves them. */
export function urlsOf(databaseUrl: string): { databaseUrl: string; servingUrl: string } {
  const serving = new URL(process.env['TEST_SERVING_URL'] ?? '');
  serving.pathname = new URL(databaseUrl).pathname;
  return { databaseUrl, servingUrl: serving.href };
}

/** A server over HTTP on a fresh database of its own, with the demo club in it. */
export class TestServer {
  private constructor(
    readonly app: INestApplication,
    readonly databaseUrl: string,
    readonly clubId: string,
    /** Where its letters lie. */
    readonly outbox: string,
  ) {}

  /** `daysAgo` lets the demo's weeks end so long ago: there is room for days after them, up to today. */
  static async start({ daysAgo = 0 } = {}): Promise<TestServer> {
    const name = `server_${process.pid}_${Date.now()}`;
    const template = daysAgo === 0 ? process.env['SERVER_TESTS_TEMPLATE'] : undefined;
    await onCluster(`create database ${name}${template ? ` template ${template}` : ''}`);
    const url = new URL(clusterUrl ?? '');
    url.pathname = name;
    const settings = { ...urlsOf(url.href), host: '127.0.0.1', port: 0 } as const;
    if (daysAgo > 0)
      jest.useFakeTimers({ now: Date.now() - daysAgo * DAY_MS, doNotFake: ALL_BUT_DATE });
    await prepare({ ...settings, demo: 'once' });
    jest.useRealTimers();
    const outbox = join(tmpdir(), name);
    const app = await createApp({ ...settings, outbox, sessionSecret: SECRET, demo: 'none' });
    await app.listen(0, '127.0.0.1');
    const clubs = await request(app.getHttpServer()).get('/api/clubs');
    const [club] = clubs.body as ClubReply[];
    return new TestServer(app, url.href, club?.clubId ?? '', outbox);
  }

  get address(): string {
    const { port } = (this.app.getHttpServer() as Server).address() as AddressInfo;
    return `http://127.0.0.1:${port}`;
  }

  /** A statement past the door, straight into this server's database. */
  async run(sql: string): Promise<void> {
    await this.read(sql);
  }

  /** What a question past the door finds in this server's database. */
  async read<Row extends object>(sql: string): Promise<Row[]> {
    const orm = await MikroORM.init({
      clientUrl: this.databaseUrl,
      entities: [],
      discovery: { warnWhenNoEntities: false },
    });
    try {
      return await orm.em.getConnection().execute<Row[]>(sql);
    } finally {
      await orm.close();
    }
  }

  async stop(): Promise<void> {
    await this.app.close();
    await rm(this.outbox, { recursive: true, force: true });
    await onCluster(`drop database ${new URL(this.databaseUrl).pathname.slice(1)}`);
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
