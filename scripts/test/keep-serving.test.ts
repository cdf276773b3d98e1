import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { promisify } from 'node:util';

const ROOT = resolve(import.meta.dirname, '../..');
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'orthokin-serving-'));
});
afterAll(() => rmSync(folder, { recursive: true }));

interface Kept {
  readonly status: number;
  readonly served: number;
  readonly told: readonly string[];
}

/** Keeps a made-up server, which knows how often one has served, until the second that serves is told to stop. */
async function keep(server: string): Promise<Kept> {
  const main = join(folder, 'server.cjs');
  writeFileSync(main, server);
  const keeper = `
    const { keepServing } = await import('./scripts/lib/keep-serving.mjs');
    const told = [];
    let served = 0;
    const status = await keepServing({
      main: ${JSON.stringify(main)},
      surroundings: async () => ({ SERVED: String(served) }),
      onStarted: () => undefined,
      onServing: () => { if (++served === 2) process.kill(process.pid, 'SIGTERM'); },
      tell: (line) => told.push(line),
    });
    console.log(JSON.stringify({ status, served, told }));`;
  const args = ['--input-type=module', '--eval', keeper];
  const { stdout } = await promisify(execFile)(process.execPath, args, { cwd: ROOT });
  return JSON.parse(stdout) as Kept;
}

test('a server that dies while it serves is brought back, which is said, until we are told to stop', async () => {
  const { status, served, told } = await keep(`
    process.send('listening');
    if (process.env.SERVED === '0') setTimeout(() => process.exit(3), 20);
    else setInterval(() => undefined, 1000);`);
  expect({ status, served }).toEqual({ status: 0, served: 2 });
  expect(told).toHaveLength(1);
  expect(told[0]).toContain('it ended with status 3');
  expect(told[0]).toContain('in 1 s');
});

test('one that never served is not tried again, and its status is ours', async () => {
  expect(await keep('process.exit(7)')).toEqual({ status: 7, served: 0, told: [] });
});
