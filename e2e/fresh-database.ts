import { spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { MikroORM } from '@mikro-orm/postgresql';

const NAME = 'browser_stories';
const SERVER = resolve(import.meta.dirname, '../apps/server/dist/main.js');

/** Makes the stories' database anew and serves the built app on it; the reply stops the server. */
export default async function freshDatabase(): Promise<() => Promise<void>> {
  const cluster = process.env['TEST_DATABASE_URL'] ?? '';
  const orm = await MikroORM.init({
    clientUrl: cluster,
    entities: [],
    discovery: { warnWhenNoEntities: false },
  });
  await orm.em.getConnection().execute(`drop database if exists ${NAME} with (force)`);
  await orm.em.getConnection().execute(`create database ${NAME}`);
  await orm.close();

  const url = new URL(cluster);
  url.pathname = NAME;
  const server = spawn(process.execPath, [SERVER], {
    env: { ...process.env, DATABASE_URL: url.href, PORT: process.env['TEST_PORT'], DEMO: 'once' },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  const ended = new Promise<void>((done) => server.once('exit', () => done()));
  await Promise.race([
    new Promise<void>((done) => server.once('message', () => done())),
    ended.then(() => Promise.reject(new Error('The server did not start: see above.'))),
  ]);
  return async () => {
    server.kill('SIGTERM');
    await ended;
  };
}
