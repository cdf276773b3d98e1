import { spawnSync } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';
import { DATA } from './paths.mjs';
import { Refusal } from './say.mjs';

const DAY_MS = 24 * 60 * 60 * 1000;
/** Renewed this long before it expires, so that a club is never locked out on a Saturday. */
const RENEW_BEFORE_MS = 40 * DAY_MS;

/** This machine's host name and addresses, as other devices know them. */
export function namesOfMachine() {
  const name = hostname().split('.')[0]?.toLowerCase() ?? '';
  const addresses = Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address);
  return [...(name === '' ? [] : [name, `${name}.local`]), ...addresses];
}

/** @param {string} folder */
const filesIn = (folder) => ({
  cert: join(folder, 'server.pem'),
  key: join(folder, 'server-key.pem'),
  /** The authority that devices are asked to trust, once. */
  ca: join(folder, 'rootCA.pem'),
});

/**
 * Whether a certificate covers all these names and is valid for long enough.
 * @param {string} pem
 * @param {readonly string[]} names
 * @param {Date} now
 */
export function willDo(pem, names, now) {
  const certificate = new X509Certificate(pem);
  const isFor = (/** @type {string} */ name) =>
    /^[\d.]+$/.test(name) || name.includes(':')
      ? certificate.checkIP(name) !== undefined
      : certificate.checkHost(name) !== undefined;
  return Date.parse(certificate.validTo) - now.getTime() > RENEW_BEFORE_MS && names.every(isFor);
}

/**
 * A certificate of the club's own authority for this machine; the authority is made on first use, and
 * stays, since devices trust it. Safe to call often: it is made anew only where it must be.
 * @param {{ names?: readonly string[], folder?: string, now?: Date }} [options]
 * @returns {{ cert: string, key: string, ca: string }} its files
 */
export function ensureCertificate({
  names = namesOfMachine(),
  folder = join(DATA, 'certificates'),
  now = new Date(),
} = {}) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const files = filesIn(folder);
  const all = ['localhost', '127.0.0.1', '::1', ...names];
  const isThere = existsSync(files.cert) && existsSync(files.key) && existsSync(files.ca);
  if (isThere && willDo(readFileSync(files.cert, 'utf8'), all, now)) return files;
  // Created under another name first: a server must not read half of it.
  const making = { cert: `${files.cert}.making`, key: `${files.key}.making` };
  const { status, stderr } = spawnSync(
    'mkcert',
    ['-cert-file', making.cert, '-key-file', making.key, ...all],
    { encoding: 'utf8', env: { ...process.env, CAROOT: folder } },
  );
  if (status !== 0) {
    rmSync(making.cert, { force: true });
    rmSync(making.key, { force: true });
    throw new Refusal(
      `The certificate for ${all.join(', ')} could not be made: ${stderr?.trim() ?? 'mkcert is not there'}`,
    );
  }
  chmodSync(making.key, 0o600);
  renameSync(making.key, files.key);
  renameSync(making.cert, files.cert);
  return files;
}
