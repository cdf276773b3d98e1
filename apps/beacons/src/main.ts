import 'reflect-metadata';
import { Gateway } from './gateway.js';

const USUAL_PORT = 4320;

const port = Number(process.env['PORT'] ?? USUAL_PORT);
if (!Number.isInteger(port) || port < 0 || port > 65_535) {
  process.stderr.write(
    `PORT: given ${process.env['PORT'] ?? ''}, allowed a whole number from 0 to 65535.\n`,
  );
  process.exit(1);
}
const gateway = new Gateway(
  port,
  (bound) => process.send?.({ port: bound }),
  (truth) => process.send?.({ truth }),
);
const stop = () => {
  gateway.close();
  process.exit(0);
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
// The command that started us is gone without a word.
process.on('disconnect', stop);
