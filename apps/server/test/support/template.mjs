import pg from 'pg';
import { prepare } from '../../dist/prepare.js';

const TEMPLATE = 'server_tests_demo';

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
  await prepare({ databaseUrl: url.href, demo: 'once', host: '127.0.0.1', port: 0 });
  process.env['SERVER_TESTS_TEMPLATE'] = TEMPLATE;
}
