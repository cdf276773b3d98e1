import 'reflect-metadata';
import { Logger } from '@nestjs/common';
import { createApp } from './app.js';
import { DatabaseRefusal } from './platform/database/prepare.js';
import { readSettings } from './platform/settings.js';

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const app = await createApp(settings);
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
