import 'reflect-metadata';
import { fileURLToPath } from 'node:url';
import { Logger } from '@nestjs/common';
import { createApp } from './app.js';
import { DatabaseRefusal } from './platform/database/database-refusal.js';
import { dropRoot } from './platform/drop-root.js';
import { readSettings } from './platform/settings.js';

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const isRoot = dropRoot(fileURLToPath(import.meta.url));
  const app = await createApp(settings);
  if (isRoot)
    new Logger('main').warn(
      'Runs as root: nobody else may read its files. Put the checkout where others can read it.',
    );
  await app.listen(settings.port, settings.host);
  process.send?.('listening');
  // The command that started us is gone without a word: end in good order rather than linger.
  process.on('disconnect', () => process.kill(process.pid, 'SIGTERM'));
}

main().catch((error: unknown) => {
  if (error instanceof DatabaseRefusal) process.stderr.write(`${error.message}\n`);
  else new Logger('main').error(error);
  process.exit(1);
});
