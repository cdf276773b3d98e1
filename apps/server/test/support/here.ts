import type { AddressInfo } from 'node:net';
import type { INestApplication } from '@nestjs/common';
import { createApp } from '../../src/app.js';
import { freshDatabase, SECRET, TestServer, urlsOf } from './server.js';

/** A server within this process, for what is told of its inside. */
export async function startHere(): Promise<{ server: TestServer; app: INestApplication }> {
  const databaseUrl = await freshDatabase({ withDemo: true });
  const app = await createApp({
    ...urlsOf(databaseUrl),
    ...{ host: '127.0.0.1', port: 0, sessionSecret: SECRET, demo: 'none' },
  });
  await app.listen(0, '127.0.0.1');
  const { port } = app.getHttpServer().address() as AddressInfo;
  const server = await TestServer.at(`http://127.0.0.1:${port}`, databaseUrl, () => app.close());
  return { server, app };
}
