import 'reflect-metadata';
import { readFileSync } from 'node:fs';
import type { Server as SecureServer } from 'node:https';
import { fileURLToPath } from 'node:url';
import { Logger } from '@nestjs/common';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { trustDoor } from './platform/http/trust-door.js';
import { createApp } from './app.js';
import { DatabaseRefusal } from './platform/database/database-refusal.js';
import { dropRoot } from './platform/drop-root.js';
import { UnderWay } from './platform/http/under-way.js';
import { readSettings } from './platform/settings.js';

interface Renewed {
  readonly cert: string;
  readonly key: string;
}

/** A load balancer checks health twice a second and believes a failure on the second check. */
const NOTICED_AFTER_MS = 2500;

/** On SIGTERM or SIGINT: finishes the requests under way, closes everything, then exits. */
function stopWhenTold(app: NestExpressApplication, noticeMs: number): void {
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    void app
      .get(UnderWay)
      .finish(noticeMs)
      .then(() => app.close())
      .finally(() => process.exit(0));
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  // Read before dropping root: afterwards the key files may be unreadable.
  const tls = settings.tls && {
    cert: readFileSync(settings.tls.cert),
    key: readFileSync(settings.tls.key),
    ca: readFileSync(settings.tls.ca),
    trustPort: settings.tls.trustPort,
  };
  const isRoot = dropRoot(fileURLToPath(import.meta.url));
  const app = await createApp(settings, tls);
  if (isRoot)
    new Logger('main').warn(
      'Runs as root: nobody else may read its files. Put the checkout where others can read it.',
    );
  stopWhenTold(app, settings.trustedProxies ? NOTICED_AFTER_MS : 0);
  await app.listen(settings.port, settings.host);
  if (tls) {
    trustDoor(tls.ca, settings.port).listen(tls.trustPort, settings.host);
    // A renewed certificate is used for new connections at once; open connections keep the old one.
    const server = app.getHttpServer() as SecureServer;
    process.on('message', (renewed: Renewed) => server.setSecureContext(renewed));
  }
  process.send?.('listening');
  // The IPC channel closed because the parent died: shut down in order instead of living on without it.
  process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'));
}

main().catch((error: unknown) => {
  if (error instanceof DatabaseRefusal) process.stderr.write(`${error.message}\n`);
  else new Logger('main').error(error);
  process.exit(1);
});
