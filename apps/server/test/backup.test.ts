import { spawn } from 'node:child_process';
import {
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { MikroORM } from '@mikro-orm/postgresql';
import { prepare } from '../src/prepare.js';
import { onCluster, TestServer, urlsOf } from './support/server.js';
import { setOf } from './support/sets.js';

const ROOT = resolve(__dirname, '../../..');
let folder: string;

const freePort = (): Promise<number> =>
  new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
  });

beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'orthokin-backup-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** `./start` with a database of ours. */
const start = (url: string, ...args: string[]): Promise<{ status: number | null; said: string }> =>
  new Promise((done) => {
    const child = spawn(join(ROOT, 'start'), args, { env: { ...process.env, DATABASE_URL: url } });
    let said = '';
    child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
    child.on('exit', (status) => done({ status, said }));
  });

/** A database's rows, a line a table. */
async function contents(url: string): Promise<string[]> {
  const orm = await MikroORM.init({
    clientUrl: url,
    entities: [],
    discovery: { warnWhenNoEntities: false },
  });
  try {
    const run = (sql: string) => orm.em.getConnection().execute<{ text: string }[]>(sql);
    const tables = await run(
      `select table_name as text from information_schema.tables
       where table_schema = 'public' order by table_name`,
    );
    const lines: string[] = [];
    for (const { text: table } of tables) {
      const [found] = await run(
        `select count(*) || ' ' || coalesce(md5(string_agg(t::text, '' order by t::text)), '') as text
         from ${table} t`,
      );
      lines.push(`${table} ${found?.text}`);
    }
    return lines;
  } finally {
    await orm.close();
  }
}

test('kept while it is used, wiped, and put back: every row of every table is as it was', async () => {
  const server = await TestServer.start();
  const [file, secret, words] = ['plain', 'sealed', 'words'].map((name) => join(folder, name)) as [
    string,
    string,
    string,
  ];
  writeFileSync(words, 'squash ball under the bed\nnot this\n');
  const before = await contents(server.databaseUrl);
  expect(before.some((line) => /^rep \d{3,}/.test(line))).toBe(true);
  const kept = await start(server.databaseUrl, 'backup', file);
  expect(kept).toEqual({ status: 0, said: expect.stringContaining('Everything is kept') });
  expect(kept.said).toContain('only with today’s PRIVATE_KEYS');
  expect(statSync(file).mode & 0o077).toBe(0);
  const sealed = await start(server.databaseUrl, 'backup', secret, '--passphrase-file', words);
  expect(sealed.status).toBe(0);
  expect(readFileSync(secret).includes('PGDMP')).toBe(false);
  expect((await start(server.databaseUrl, 'backup', file)).said).toContain('is there already');

  // Not under a server that runs.
  expect((await start(server.databaseUrl, 'restore', file)).said).toContain('stop it first');
  await server.run('delete from rep');
  await server.run('drop table home_practice cascade');
  await server.end();
  expect(await contents(server.databaseUrl)).not.toEqual(before);
  const back = await start(server.databaseUrl, 'restore', file);
  expect(back).toEqual({ status: 0, said: expect.stringContaining('as it was on') });
  const own = /is kept in (?<own>\S+\.backup)\./.exec(back.said)?.groups?.['own'] ?? '';
  expect(statSync(own).size).toBeGreaterThan(0);
  rmSync(own);
  expect(await contents(server.databaseUrl)).toEqual(before);

  // The encrypted one too, with its passphrase alone.
  expect((await start(server.databaseUrl, 'restore', secret)).said).toContain('is encrypted');
  writeFileSync(join(folder, 'wrong'), 'tennis ball');
  const wrong = ['restore', secret, '--passphrase-file', join(folder, 'wrong')];
  expect((await start(server.databaseUrl, ...wrong)).said).toContain('passphrase is not the one');
  const right = await start(server.databaseUrl, 'restore', secret, '--passphrase-file', words);
  // On another machine what is private in it needs the keys that came along.
  expect(right).toEqual({
    status: 0,
    said: expect.stringContaining(`PRIVATE_KEYS="${process.env['PRIVATE_KEYS']}"`),
  });
  rmSync(/is kept in (\S+\.backup)\./.exec(right.said)?.[1] ?? '', { force: true });
  expect(await contents(server.databaseUrl)).toEqual(before);

  // What is damaged, or none, changes nothing.
  const bytes = readFileSync(file);
  bytes[bytes.length - 100] = (bytes[bytes.length - 100] ?? 0) ^ 1;
  writeFileSync(join(folder, 'damaged'), bytes);
  writeFileSync(join(folder, 'none'), 'words\n');
  const refused = async (name: string) =>
    (await start(server.databaseUrl, 'restore', join(folder, name))).said;
  expect(await refused('damaged')).toContain('is damaged');
  expect(await refused('none')).toContain('is no backup of Orthokin');
  expect(await refused('nowhere')).toContain('is not there');
  const newer = readFileSync(file, 'latin1').replace(/"migration":"[^"]+"/, '"migration":"2999-x"');
  writeFileSync(join(folder, 'newer'), newer, 'latin1');
  expect(await refused('newer')).toContain('newer version');
  expect(await contents(server.databaseUrl)).toEqual(before);
  await onCluster(`drop database ${new URL(server.databaseUrl).pathname.slice(1)}`);
}, 180_000);

test('what was acknowledged before a backup is there after a killed server is put back from it', async () => {
  const demo = await TestServer.start();
  const { lineOf, put } = { lineOf: demo.lineOf.bind(demo), put: demo.club.bind(demo) };
  const lines = await Promise.all(
    ['Juno Marlock', 'Wren Hallowby', 'Oskar Tvedmoor'].map((name) => lineOf(name)),
  );
  await demo.end();
  const port = await freePort();
  const env = {
    ...{ ...process.env, PORT: String(port), LOG_LEVEL: 'fatal', DEMO: 'none' },
    DATABASE_URL: demo.databaseUrl,
    SERVING_DATABASE_URL: urlsOf(demo.databaseUrl).servingUrl,
  };
  const serve = async () => {
    const child = spawn(process.execPath, [join(ROOT, 'apps/server/dist/main.js')], {
      ...{ env, stdio: ['ignore', 'ignore', 'inherit', 'ipc'] },
    });
    await new Promise((done) => child.once('message', done));
    return child;
  };
  const send = async (path: string, body: object) => {
    const reply = await fetch(`http://127.0.0.1:${port}${put(path)}`, {
      ...{ method: 'PUT', headers: { 'Content-Type': 'application/json' } },
      body: JSON.stringify(body),
    });
    return reply.status === 200;
  };
  let server = await serve();
  const acknowledged: string[] = [];
  let killed = false;
  const recording = lines.map(async (line) => {
    while (!killed) {
      const set = setOf(line, { reactionMs: 210, recoveryMs: 800 });
      await send(`sets/${set.id}`, set.body);
      for (const { id, body } of set.reps)
        if (await send(`sets/${set.id}/reps/${id}`, body)) acknowledged.push(id);
    }
  });
  // Whoever is cut off by the kill below is told so.
  const ended = Promise.allSettled(recording);
  while (acknowledged.length < 60) await new Promise((done) => setTimeout(done, 20));
  const before = [...acknowledged];
  const file = join(folder, 'under-load');
  expect((await start(demo.databaseUrl, 'backup', file)).status).toBe(0);
  killed = true;
  server.kill('SIGKILL');
  await ended;
  expect(acknowledged.length).toBeGreaterThan(before.length);

  // The machine is another one: an empty database, and the backup.
  await onCluster(`drop database ${new URL(demo.databaseUrl).pathname.slice(1)} with (force)`);
  await onCluster(`create database ${new URL(demo.databaseUrl).pathname.slice(1)}`);
  expect((await start(demo.databaseUrl, 'restore', file)).status).toBe(0);
  server = await serve();
  const squad = await fetch(`http://127.0.0.1:${port}${put('squad')}`);
  expect((await squad.json()) as object[]).toHaveLength(8);
  const stored = await demo.read<{ id: string }>('select id from rep');
  const ids = new Set(stored.map(({ id }) => id));
  expect(before.filter((id) => !ids.has(id))).toEqual([]);
  server.kill('SIGTERM');
  await new Promise((done) => server.once('exit', done));
  await onCluster(`drop database ${new URL(demo.databaseUrl).pathname.slice(1)} with (force)`);
}, 120_000);

test('one a day is kept, the newest seven, and nothing else is taken away', async () => {
  const nights = join(folder, 'nights');
  mkdirSync(nights);
  for (let day = 11; day < 20; day++)
    writeFileSync(join(nights, `night-2026-11-${day}.backup`), '');
  writeFileSync(join(nights, 'before-restore-2026-11-01.backup'), '');
  await onCluster('create database nightly_of_a_test');
  const url = new URL(process.env['TEST_DATABASE_URL'] ?? '');
  url.pathname = 'nightly_of_a_test';
  await prepare({ ...urlsOf(url.href), demo: 'none' });
  const twice = `
    const { keepNightly } = await import('./scripts/lib/backup.mjs');
    for (const hour of ['01', '13'])
      await keepNightly('${url.href}', new Date('2026-11-20T' + hour + ':00:00Z'), '${nights}');`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', twice], { cwd: ROOT });
  expect(await new Promise((done) => child.on('exit', done))).toBe(0);
  expect(readdirSync(nights).sort()).toEqual([
    'before-restore-2026-11-01.backup',
    ...[14, 15, 16, 17, 18, 19, 20].map((day) => `night-2026-11-${day}.backup`),
  ]);
  expect(statSync(join(nights, 'night-2026-11-20.backup')).size).toBeGreaterThan(1000);
  await onCluster('drop database nightly_of_a_test');
}, 60_000);
