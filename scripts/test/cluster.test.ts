import { spawn } from 'node:child_process';
import { existsSync, readFileSync, rmSync, statSync } from 'node:fs';
import { connect } from 'node:net';
import { join, resolve } from 'node:path';

const ROOT = resolve(__dirname, '../..');
const NAME = 'cluster-for-a-test';
const HOME = join(ROOT, 'data', NAME);

interface Told {
  readonly url: string;
  readonly home: string;
}

/** Makes or takes up the cluster in a process of its own, does something, and stops what it started. */
const withCluster = (what = ''): Promise<Told> =>
  new Promise((done, fail) => {
    const line = `
      const { ensureCluster } = await import('./scripts/lib/cluster.mjs');
      const cluster = await ensureCluster('${NAME}');
      console.log('URL ' + cluster.url('orthokin'));
      ${what}
      cluster.stop();`;
    const child = spawn(process.execPath, ['--input-type=module', '-e', line], { cwd: ROOT });
    let said = '';
    child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
    child.on('exit', (status) => {
      const url = /^URL (.*)$/m.exec(said)?.[1];
      if (status === 0 && url) done({ url, home: HOME });
      else fail(new Error(said));
    });
  });

const answers = (url: string): Promise<boolean> =>
  new Promise((done) => {
    const { hostname, port } = new URL(url);
    const socket = connect(Number(port), hostname);
    socket.once('connect', () => {
      socket.destroy();
      done(true);
    });
    socket.once('error', () => done(false));
  });

afterAll(() => rmSync(HOME, { recursive: true, force: true }));

test('a cluster is made once, keeps its port and password to itself, and stops with who started it', async () => {
  const first = await withCluster();
  expect(new URL(first.url).hostname).toBe('127.0.0.1');
  expect(await answers(first.url)).toBe(false);
  const secrets = join(HOME, 'secrets.json');
  expect(statSync(secrets).mode & 0o777).toBe(0o600);
  const made = statSync(join(HOME, 'cluster/PG_VERSION')).mtimeMs;

  const second = await withCluster();
  expect(second.url).toBe(first.url);
  expect(statSync(join(HOME, 'cluster/PG_VERSION')).mtimeMs).toBe(made);
  expect(readFileSync(join(HOME, 'cluster/pg_hba.conf'), 'utf8')).toMatch(
    /^host\s+all\s+all\s+127\.0\.0\.1\/32\s+scram-sha-256$/m,
  );
  expect(existsSync(join(HOME, 'cluster/postmaster.pid'))).toBe(false);
}, 60_000);

test('the server is never root, and one that runs already is used and left running', async () => {
  const again = `
    const inner = await ensureCluster('${NAME}');
    inner.stop();
    const { readFileSync, statSync } = await import('node:fs');
    const pid = readFileSync('data/${NAME}/cluster/postmaster.pid', 'utf8').split('\\n')[0];
    if (statSync('/proc/' + pid).uid === 0) throw new Error('root runs the database');`;
  const { url } = await withCluster(again);
  expect(await answers(url)).toBe(false);
}, 60_000);

test('a server that stopped by itself is brought back once it can be, and stops with who brought it back', async () => {
  const { url } = await withCluster(`
    const { readFileSync, renameSync } = await import('node:fs');
    const { setTimeout: wait } = await import('node:timers/promises');
    const { keepRunning } = await import('./scripts/lib/keep-running.mjs');
    const folder = 'data/${NAME}/cluster';
    const until = async (there) => { while (!there()) await wait(20); };
    // As a full disk leaves it: gone, and not to be started while there is no room.
    process.kill(Number(readFileSync(folder + '/postmaster.pid', 'utf8').split('\\n')[0]), 'SIGQUIT');
    await until(() => !cluster.isRunning());
    renameSync(folder, folder + '.away');
    const told = [];
    const kept = keepRunning(() => cluster, { everyMs: 20, tell: (line) => told.push(line) });
    await until(() => told.length === 1);
    renameSync(folder + '.away', folder);
    await until(() => told.length === 2);
    kept.stop();
    if (!/^\\nThe database stopped and cannot be started; it is tried again in 1 s\\. /.test(told[0])) throw new Error(told[0]);
    if (!/It is started again/.test(told[1]) || !cluster.isRunning()) throw new Error(told[1]);`);
  expect(await answers(url)).toBe(false);
}, 60_000);

test('what an interrupted start left half-made is made anew', async () => {
  rmSync(HOME, { recursive: true, force: true });
  const { mkdirSync, writeFileSync } = await import('node:fs');
  mkdirSync(join(HOME, 'cluster.making'), { recursive: true });
  writeFileSync(join(HOME, 'cluster.making/PG_VERSION'), '15');
  await withCluster();
  expect(existsSync(join(HOME, 'cluster/global/pg_control'))).toBe(true);
  expect(existsSync(join(HOME, 'cluster.making'))).toBe(false);
}, 60_000);

test('a new key seals first; one that came with a backup only opens, and none is there twice', async () => {
  const keys = () =>
    (
      JSON.parse(readFileSync(join(HOME, 'secrets.json'), 'utf8')) as { privateKeys: string }
    ).privateKeys.split(' ');
  await withCluster();
  const [own] = keys();
  const [fresh, old] = [`fresh:${'a'.repeat(64)}`, `old:${'b'.repeat(64)}`];
  await withCluster(`
    const { addPrivateKeys } = await import('./scripts/lib/cluster.mjs');
    await addPrivateKeys('${NAME}', { first: '${fresh}' });
    await addPrivateKeys('${NAME}', { behind: '${old} ${own}' });`);
  expect(keys()).toEqual([fresh, own, old]);
}, 60_000);
