import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import pg from 'pg';

const TEMPLATE = 'server_tests_demo';
const PREPARE = join(import.meta.dirname, '../../dist/prepare.js');

/** Loads the demo once a run: it takes longer than many a test, and most files begin on a copy of it. */
export default async function loadTemplate() {
  const cluster = process.env['TEST_DATABASE_URL'];
  // Whoever starts a test without one is told so by the test itself.
  if (!cluster) return;
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
