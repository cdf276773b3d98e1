import { spawn } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { test as base } from '@playwright/test';
import { Client } from 'pg';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { freshDatabase, servingUrlOf, TEMPLATE } from './databases.js';

const SERVER = resolve(import.meta.dirname, '../../../apps/server/dist/main.js');
const READY_WITHIN_MS = 60_000;

const freePort = () =>
  new Promise<number>((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => found(port));
    });
  });

/** The built app, served on a port and a database of its own. */
export class Served {
  private constructor(
    readonly address: string,
    readonly databaseUrl: string,
    private readonly port: number,
    private process: { stop: () => Promise<void> },
  ) {}

  static async start(databaseUrl: string): Promise<Served> {
    const port = await freePort();
    const process = await Served.run(databaseUrl, port);
    return new Served(`http://127.0.0.1:${port}`, databaseUrl, port, process);
  }

  private static async run(databaseUrl: string, port: number) {
    const server = spawn(process.execPath, [SERVER], {
      env: {
        ...{ ...process.env, DATABASE_URL: databaseUrl, PORT: String(port), DEMO: 'once' },
        ...{ SERVING_DATABASE_URL: servingUrlOf(databaseUrl), SESSION_SECRET: 'of the stories' },
      },
      stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    });
    const ended = new Promise<void>((done) => server.once('exit', () => done()));
    await Promise.race([
      new Promise<void>((done) => server.once('message', () => done())),
      ended.then(() => Promise.reject(new Error('The server did not start: see above.'))),
    ]);
    return {
      stop: async () => {
        server.kill('SIGTERM');
        await ended;
      },
    };
  }

  async stop(): Promise<void> {
    await this.process.stop();
  }

  /** A statement past the door, straight into this server's database. */
  async run(sql: string): Promise<void> {
    await this.read(sql);
  }

  /** What a question past the door finds there. */
  async read<Row extends object>(sql: string): Promise<Row[]> {
    const client = new Client({ connectionString: this.databaseUrl });
    await client.connect();
    const { rows } = await client.query<Row>(sql);
    await client.end();
    return rows;
  }

  async restart(): Promise<void> {
    await this.stop();
    this.process = await Served.run(this.databaseUrl, this.port);
  }
}

/** A device on which the demo club was opened before: stories do not begin with the choice of a club. */
const demoOpenedAt = (origin: string) => ({
  cookies: [],
  origins: [
    {
      origin,
      localStorage: [{ name: 'orthokin.club', value: JSON.stringify(DEMO_CLUB_ID) }],
    },
  ],
});

/** Each worker tells its stories on a server and a database of its own, on the demo data. */
export const test = base.extend<object, { served: Served }>({
  served: [
    // eslint-disable-next-line no-empty-pattern -- the runner reads what a fixture needs from here
    async ({}, use, { parallelIndex }) => {
      const served = await Served.start(
        await freshDatabase(`browser_stories_${parallelIndex}`, TEMPLATE),
      );
      await use(served);
      await served.stop();
    },
    { scope: 'worker', auto: true, timeout: READY_WITHIN_MS },
  ],
  baseURL: async ({ served }, use) => use(served.address),
  storageState: async ({ baseURL }, use) => use(demoOpenedAt(baseURL ?? '')),
});

/** For what is read off the demo as it came: a server and a database that no other story has used. */
export const untouchedTest = test.extend<{ untouched: Served }>({
  // eslint-disable-next-line no-empty-pattern -- the runner reads what a fixture needs from here
  untouched: async ({}, use, { parallelIndex }) => {
    const served = await Served.start(
      await freshDatabase(`browser_untouched_${parallelIndex}`, TEMPLATE),
    );
    await use(served);
    await served.stop();
  },
  baseURL: async ({ untouched }, use) => use(untouched.address),
});
