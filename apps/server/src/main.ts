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

/** What stands in front asks twice a second whether a server is well, and believes it the second time. */
const NOTICED_AFTER_MS = 2500;

/** Ends in good order when told to: answers what is under way, then lets go of everything. */
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
  // Before it gives up the right to read it.
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
    // A certificate made anew is served by at once; connections that stand go on.
    const server = app.getHttpServer() as SecureServer;
    process.on('message', (renewed: Renewed) => server.setSecureContext(renewed));
  }
  process.send?.('listening');
  // The command that started us is gone without a word: end in good order rather than linger.
  process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'));
}

main().catch((error: unknown) => {
  if (error instanceof DatabaseRefusal) process.stderr.write(`${error.message}\n`);
  else new Logger('main').error(error);
  process.exit(1);
});
