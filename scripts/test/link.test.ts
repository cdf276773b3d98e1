import { spawn } from 'node:child_process';
import { resolve } from 'node:path';

/** What a server behind a link has heard before it was cut, while it was, and after. */
const SCRIPT = `
  import { connect, createServer } from 'node:net';
  import { setTimeout as wait } from 'node:timers/promises';
  import { Link } from './scripts/cluster/link.mjs';
  let heard = '';
  let gone = 0;
  const server = createServer((socket) => {
    socket.setEncoding('utf8').on('data', (text) => (heard += text)).on('close', () => gone++);
  });
  await new Promise((done) => server.listen(0, '127.0.0.1', done));
  const link = await Link.lay(server.address().port);
  const join = () => new Promise((done) => {
    const socket = connect(link.port, '127.0.0.1', () => done(socket));
  });
  const until = async (holds) => { while (!holds()) await wait(5); };
  const early = await join();
  early.write('before ');
  await until(() => heard !== '');
  link.cut();
  early.write('meanwhile ');
  const late = await join();
  late.write('late ');
  await wait(150);
  const whileCut = heard;
  const isOpen = !early.destroyed;
  link.mend();
  await until(() => heard.includes('meanwhile') && heard.includes('late'));
  early.destroy();
  await until(() => gone === 1);
  console.log(JSON.stringify({ whileCut, isOpen, gone }));
  process.exit(0);`;

test('a cable that is pulled swallows what is sent, hangs nobody up, and hands it on once it is back', async () => {
  const child = spawn(process.execPath, ['--input-type=module', '-e', SCRIPT], {
    cwd: resolve(__dirname, '../..'),
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
  await new Promise((done) => child.on('exit', done));
  expect(JSON.parse(said)).toEqual({ whileCut: 'before ', isOpen: true, gone: 1 });
});
