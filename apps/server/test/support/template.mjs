import { fork, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import pg from 'pg';

const TEMPLATE = 'server_tests_demo';
const PREPARE = join(import.meta.dirname, '../../dist/prepare.js');
const SERVING = join(import.meta.dirname, 'serving.mjs');

/** What takes longer than many a test is done once a run: the demo is loaded, and the app that serves it. */
export default async function prepareTests() {
  const cluster = process.env['TEST_DATABASE_URL'];
  // Whoever starts a test without one is told so by the test itself.
  if (!cluster) return;
  await loadTemplate(cluster);
  await startServing();
}

/** The process that serves ends with this one, which does not wait for it. */
async function startServing() {
  const child = fork(SERVING, { stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
  const ended = once(child, 'exit').then(([code]) => {
    throw new Error(`The process that serves for tests ended (${code}): see above.`);
  });
  const [address] = await Promise.race([once(child, 'message'), ended]);
  child.unref();
  child.channel?.unref();
  process.env['SERVER_TESTS_HOST'] = address;
}

/** Most files begin on a copy of it. @param {string} cluster its address */
async function loadTemplate(cluster) {
  const client = new pg.Client({ connectionString: cluster });
  await client.connect();
  await client.query(`drop database if exists ${TEMPLATE} with (force)`);
  await client.query(`create database ${TEMPLATE}`);
  await client.end();
  const url = new URL(cluster);
  url.pathname = TEMPLATE;
  const serving = new URL(process.env['TEST_SERVING_URL'] ?? '');
  serving.pathname = TEMPLATE;
  const urls = { databaseUrl: url.href, servingUrl: serving.href };
  const settings = { ...urls, demo: 'once', host: '127.0.0.1', port: 0 };
  // In a process of its own: what the ORM leaves behind in this one is not of the tests' world.
  const { status } = spawnSync(
    process.execPath,
    [
      ...['--input-type=module', '-e'],
      `const { prepare } = await import(${JSON.stringify(PREPARE)});
       await prepare(${JSON.stringify(settings)});`,
    ],
    { stdio: 'inherit' },
  );
  if (status !== 0) throw new Error('The demo could not be loaded: see above.');
  process.env['SERVER_TESTS_TEMPLATE'] = TEMPLATE;
}
