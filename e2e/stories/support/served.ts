import { fork } from 'node:child_process';
import { createServer, type AddressInfo } from 'node:net';
import { resolve } from 'node:path';
import { test as base } from '@playwright/test';
import { Client } from 'pg';
import { DEMO_CLUB_ID } from '@orthokin/core/people';
import { fetchesNothingAhead } from './ahead.js';
import { freshDatabase, servingUrlOf, TEMPLATE } from './databases.js';

const SERVING = resolve(import.meta.dirname, '../../../apps/server/test/support/serving.mjs');
const READY_WITHIN_MS = 60_000;

/** What the process that serves is asked: to serve with these settings, or to end what it serves at this port. */
type ServingQuestion = { begin: Readonly<Record<string, string>> } | { end: number };

const freePort = () =>
  new Promise<number>((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => found(port));
    });
  });

/**
 * The process that serves whatever this one asks for. The app is loaded there once: to load it for every
 * story would take longer than most of what they tell.
 */
class Host {
  private static running: Host | null = null;
  private readonly child = fork(SERVING, { stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
  private readonly address = new Promise<string>((known, fail) => {
    this.child.once('message', (address: string) => {
      // A worker ends when its stories are told; its host is not what it waits for.
      this.child.unref();
      this.child.channel?.unref();
      known(address);
    });
    this.child.once('exit', (code) => {
      if (Host.running === this) Host.running = null;
      fail(new Error(`The process that serves ended (${code}).`));
    });
  });

  static get(): Host {
    return (Host.running ??= new Host());
  }

  async ask(question: ServingQuestion): Promise<void> {
    const answer = await fetch(await this.address, {
      method: 'POST',
      body: JSON.stringify(question),
    });
    if (!answer.ok) throw new Error(await answer.text());
  }
}

/** The built app, served on a port and a database of its own. */
export class Served {
  private constructor(
    readonly address: string,
    readonly databaseUrl: string,
    private readonly port: number,
    private readonly more: Readonly<Record<string, string>>,
  ) {}

  /** `more` are settings that not every server of the stories has. */
  static async start(
    databaseUrl: string,
    more: Readonly<Record<string, string>> = {},
  ): Promise<Served> {
    const port = await freePort();
    const served = new Served(`http://127.0.0.1:${port}`, databaseUrl, port, more);
    await served.begin();
    return served;
  }

  private begin(): Promise<void> {
    const { databaseUrl, port, more } = this;
    return Host.get().ask({
      begin: {
        ...{ DATABASE_URL: databaseUrl, PORT: String(port), DEMO: 'once' },
        ...{ SERVING_DATABASE_URL: servingUrlOf(databaseUrl), SESSION_SECRET: 'of the stories' },
        ...more,
      },
    });
  }

  stop(): Promise<void> {
    return Host.get().ask({ end: this.port });
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
    await this.begin();
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

/** What a story's own pages may be told to do. */
interface Pages {
  /** Whether places are fetched that nobody opened yet; for stories in which the network goes. */
  readonly fetchesAhead: boolean;
}

/** Each worker tells its stories on a server and a database of its own, on the demo data. */
export const test = base.extend<Pages, { served: Served }>({
  served: [
    // oxlint-disable-next-line no-empty-pattern -- the runner reads what a fixture needs from here
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
  fetchesAhead: [false, { option: true }],
  context: async ({ context, fetchesAhead }, use) => {
    if (!fetchesAhead) await fetchesNothingAhead(context);
    await use(context);
  },
});

/** For what is read off the demo as it came: a server and a database that no other story has used. */
export const untouchedTest = test.extend<{ untouched: Served }>({
  // oxlint-disable-next-line no-empty-pattern -- the runner reads what a fixture needs from here
  untouched: async ({}, use, { parallelIndex }) => {
    const served = await Served.start(
      await freshDatabase(`browser_untouched_${parallelIndex}`, TEMPLATE),
    );
    await use(served);
    await served.stop();
  },
  baseURL: async ({ untouched }, use) => use(untouched.address),
});
