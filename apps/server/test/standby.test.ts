import { connect, createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import request from 'supertest';
import { v7 } from 'uuid';
import { createApp } from '../src/app.js';
import { SECRET, TestServer, urlsOf } from './support/server.js';
import { record, setOf } from './support/sets.js';

/**
 * A standby, as far as a server sees one: nothing can be written there. It is never behind, but for those
 * who say that they have written what it does not have yet.
 */
async function startStandby(of: URL) {
  const proxy = createServer((asking) => {
    const database = connect(Number(of.port), of.hostname);
    // Who connects says first what is wanted of the connection: here it is only read from.
    asking.once('data', (startup) => {
      const wanted = Buffer.from('options\0-c default_transaction_read_only=on\0\0');
      const length = Buffer.alloc(4);
      length.writeInt32BE(startup.length - 1 + wanted.length);
      database.write(Buffer.concat([length, startup.subarray(4, -1), wanted]));
      asking.pipe(database).pipe(asking);
    });
    for (const socket of [asking, database]) socket.on('error', () => undefined);
    asking.on('close', () => database.destroy());
  });
  const url = await addressOf(proxy, of);
  return { url, stop: stopping(proxy) };
}

/** Ends a server and whatever has come to it: what stays open would keep the tests from their end. */
function stopping(server: Server): () => void {
  const open = new Set<Socket>();
  server.on('connection', (socket) => open.add(socket));
  return () => {
    server.close();
    for (const socket of open) socket.destroy();
  };
}

/** The same database at the port of a server of its own. */
async function addressOf(listening: Server, of: URL): Promise<string> {
  await new Promise<void>((done) => listening.listen(0, '127.0.0.1', done));
  const url = new URL(of);
  url.port = String((listening.address() as AddressInfo).port);
  return url.href;
}

let server: TestServer;
let serving: URL;
beforeAll(async () => {
  server = await TestServer.start();
  serving = new URL(urlsOf(server.databaseUrl).servingUrl);
}, 60_000);
afterAll(() => server.stop());

/** Another server of the same database, which reads from a standby; seen for a while, so that it knows where the leader is. */
async function besideStandby(url: string, isThere = true) {
  const app = await createApp({
    ...urlsOf(server.databaseUrl),
    ...{ standbyUrl: url, host: '127.0.0.1', port: 0, sessionSecret: SECRET, demo: 'none' },
  });
  await app.listen(0, '127.0.0.1');
  const device = request.agent(app.getHttpServer());
  const club = server.club('');
  const from = async (path: string) => {
    const reply = await device.get(`${club}${path}`).expect(200);
    return { body: reply.body as unknown, isNear: 'server-timing' in reply.headers };
  };
  await until(async () => (await from('plans')).isNear === isThere);
  const { port } = app.getHttpServer().address() as AddressInfo;
  return { device, from, club, address: `http://127.0.0.1:${port}`, stop: () => app.close() };
}

async function until(holds: () => Promise<boolean>): Promise<void> {
  const deadline = Date.now() + 10_000;
  while (!(await holds())) {
    if (Date.now() > deadline) throw new Error('Waited in vain.');
    await new Promise((done) => setTimeout(done, 50));
  }
}

describe('beside a standby', () => {
  let standby: Awaited<ReturnType<typeof startStandby>>;
  let near: Awaited<ReturnType<typeof besideStandby>>;
  beforeAll(async () => {
    standby = await startStandby(serving);
    near = await besideStandby(standby.url);
  }, 30_000);
  afterAll(async () => {
    await near.stop();
    standby.stop();
  });

  test('pages are read there, and are what they are at the leader', async () => {
    // Its figures are worked out when they are looked at first.
    await near.from('squad');
    for (const path of ['squad', 'standings', 'plans', 'groups']) {
      const { body, isNear } = await near.from(path);
      expect(isNear).toBe(true);
      expect(body).toEqual((await server.get(server.club(path))).body);
    }
  });

  test('what a page rests on and has to be written first is written at the leader', async () => {
    const line = await server.lineOf('Juno Marlock');
    const { id } = await record(server, setOf(line, { reactionMs: 240, recoveryMs: 880 }));
    const first = await near.from('squad');
    const again = await near.from('squad');
    expect([first.isNear, again.isNear]).toEqual([false, true]);
    expect(again.body).toEqual(first.body);
    expect(JSON.stringify(first.body)).toContain(id);
  });

  test('whoever writes sees it at once: a standby that does not have it yet is not asked', async () => {
    const plan = { name: 'Ours', day: '2026-11-26', startsAt: '17:00', minutes: 60, revision: 1 };
    const { headers } = await near.device
      .put(`${near.club}plans/${v7()}`)
      .send({ ...plan, athleteIds: [], blocks: [] })
      .expect(200);
    expect(headers['set-cookie']?.[0]).toMatch(/^orthokin\.after=.*HttpOnly; SameSite=Strict/);
    const { body, isNear } = await near.from('plans');
    expect(isNear).toBe(true);
    expect(JSON.stringify(body)).toContain('Ours');
    const behind = await request(near.address)
      .get(`${near.club}plans`)
      .set('Cookie', 'orthokin.after=FFFFFFFF%2F0')
      .expect(200);
    expect(behind.headers['server-timing']).toBeUndefined();
    expect(behind.body).toEqual(body);
    await request(near.address)
      .get(`${near.club}plans`)
      .set('Cookie', `orthokin.after=${encodeURIComponent("0/0'); drop table plan; --")}`)
      .expect(200);
  });

  test('each club’s rows stay behind their wall there', async () => {
    const clubId = v7();
    await server.put(`/api/clubs/${clubId}`, { name: 'Elsewhere' }).expect(200);
    const many = Array.from({ length: 20 }, (_, i) =>
      i % 2
        ? near.device.get(`/api/clubs/${clubId}/squad`).then(({ body }) => body as unknown[])
        : near.from('squad').then(({ body }) => body as unknown[]),
    );
    const lengths = (await Promise.all(many)).map((lines) => lines.length);
    expect(new Set(lengths.filter((_, i) => i % 2 === 1))).toEqual(new Set([0]));
    expect(Math.min(...lengths.filter((_, i) => i % 2 === 0))).toBeGreaterThan(5);
  });

  test('who looks at something private asks the leader, where it is written down', async () => {
    expect((await near.from('athletes')).isNear).toBe(false);
  });

  test('whether all is well is whether the leader is', async () => {
    const { headers } = await near.device.get('/api/health').expect(200);
    expect(headers['server-timing']).toBeUndefined();
  });
});

test('a standby that is not there, or says nothing, costs a page a moment and no more', async () => {
  const silent = createServer();
  const stop = stopping(silent);
  const away = await besideStandby(await addressOf(silent, serving), false);
  try {
    await new Promise((done) => setTimeout(done, 1000));
    const { isNear, body } = await away.from('squad');
    expect(isNear).toBe(false);
    expect((body as unknown[]).length).toBeGreaterThan(5);
  } finally {
    await away.stop();
    stop();
  }
}, 30_000);
