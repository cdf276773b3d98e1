import { spawn } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const ROOT = resolve(__dirname, '../..');
const DAY_MS = 24 * 60 * 60 * 1000;

interface Files {
  readonly cert: string;
  readonly key: string;
  readonly ca: string;
}

/** Asks for the certificate as the command does, in a folder of the test's own. */
const ensured = (folder: string, names: readonly string[], now = new Date()): Promise<Files> =>
  new Promise((done, fail) => {
    const given = JSON.stringify({ folder, names });
    const line = `const { ensureCertificate } = await import('./scripts/lib/certificate.mjs');
      const { folder, names } = ${given};
      console.log(JSON.stringify(ensureCertificate({ folder, names, now: new Date(${now.getTime()}) })));`;
    const child = spawn(process.execPath, ['--input-type=module', '-e', line], { cwd: ROOT });
    let said = '';
    let wrong = '';
    child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
    child.stderr.on('data', (chunk: Buffer) => (wrong += chunk.toString()));
    child.on('exit', (status) =>
      status === 0 ? done(JSON.parse(said) as Files) : fail(new Error(wrong)),
    );
  });

const folder = mkdtempSync(join(tmpdir(), 'orthokin-certificates-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

test('is of the club’s own authority, for its names and addresses, and kept until it must be renewed', async () => {
  const names = ['hall', 'hall.local', '192.168.1.5'];
  const files = await ensured(folder, names);
  const read = () => new X509Certificate(readFileSync(files.cert));
  const ca = readFileSync(files.ca, 'utf8');
  const first = read();
  expect(first.checkHost('hall.local')).toBe('hall.local');
  expect(first.checkIP('192.168.1.5')).toBe('192.168.1.5');
  expect(first.checkIP('127.0.0.1')).toBe('127.0.0.1');
  expect(first.checkHost('elsewhere.local')).toBeUndefined();
  expect(first.verify(new X509Certificate(ca).publicKey)).toBe(true);
  // Longer than this some devices trust no certificate.
  expect(Date.parse(first.validTo) - Date.now()).toBeLessThan(825 * DAY_MS);
  expect(statSync(files.key).mode & 0o077).toBe(0);

  await ensured(folder, names);
  expect(read().serialNumber).toBe(first.serialNumber);

  await ensured(folder, [...names, '10.0.0.7']);
  const moved = read();
  expect(moved.checkIP('10.0.0.7')).toBe('10.0.0.7');

  await ensured(folder, names, new Date(Date.parse(moved.validTo) - 30 * DAY_MS));
  expect(read().serialNumber).not.toBe(moved.serialNumber);
  // What devices were told to trust is the same all the while.
  expect(readFileSync(files.ca, 'utf8')).toBe(ca);
}, 60_000);
