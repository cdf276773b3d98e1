import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { postgresBin } from './cluster.mjs';
import { ROOT } from './paths.mjs';
import { Refusal, say } from './say.mjs';

export const CHROMIUM = '/usr/bin/chromium';
/** A Chromium without a window system: stories take a fifth less time in it. */
const CHROMIUM_SHELL = '/usr/bin/chromium-headless-shell';

/** Debian's packages, each with a file that shows it is installed. */
const DEBIAN = {
  postgresql: () => postgresBin() !== null,
  chromium: () => existsSync(CHROMIUM),
  'chromium-headless-shell': () => existsSync(CHROMIUM_SHELL),
  mkcert: () => existsSync('/usr/bin/mkcert'),
  haproxy: () => existsSync('/usr/sbin/haproxy'),
  patroni: () => existsSync('/usr/bin/patroni'),
  'etcd-server': () => existsSync('/usr/bin/etcd'),
  'espeak-ng': () => existsSync('/usr/bin/espeak-ng'),
};

const isRoot = () => process.getuid?.() === 0;

/** Debian would create and start a cluster when PostgreSQL is installed; we use our own. */
const NO_MAIN_CLUSTER = '/etc/postgresql-common/createcluster.d/orthokin-install.conf';

/** @param {string[]} args */
function apt(args) {
  const { status } = spawnSync('apt-get', args, {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (status !== 0)
    throw new Refusal(`"apt-get ${args.join(' ')}" failed: see above, mend it and run this again.`);
}

/**
 * Installs missing Debian packages, or says which are missing.
 * @param {(keyof typeof DEBIAN)[]} names
 * @returns {(keyof typeof DEBIAN)[]} those that were missing
 */
export function ensureDebianPackages(names) {
  const missing = names.filter((name) => !DEBIAN[name]());
  if (missing.length === 0) return [];
  const install = `apt-get install -y ${missing.join(' ')}`;
  if (!isRoot())
    throw new Refusal(
      `Missing: ${missing.join(' and ')} (Debian packages). Ask root to run "${install}", then run this again.`,
    );
  say(`Installing Debian packages: ${missing.join(', ')}`);
  mkdirSync(join(NO_MAIN_CLUSTER, '..'), { recursive: true });
  writeFileSync(NO_MAIN_CLUSTER, 'create_main_cluster = false\n');
  try {
    apt(['-qq', 'update']);
    apt(['-qq', 'install', '-y', '--no-install-recommends', ...missing]);
  } finally {
    rmSync(NO_MAIN_CLUSTER, { force: true });
  }
  return missing;
}

/**
 * Like {@link ensureDebianPackages}, for packages that only speed things up: without them work goes on.
 * @param {(keyof typeof DEBIAN)[]} names
 */
export function tryDebianPackages(names) {
  try {
    ensureDebianPackages(names);
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    say(`Goes on without ${names.join(' and ')}.`);
  }
}

/** Contains the hash of the lock file that node_modules was installed from. */
export const LOCK_STAMP = 'node_modules/.orthokin-lock';

/** @param {string} root */
export const lockOf = (root) =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');

/** Installs the npm packages of the lock file, unless they are there already. */
export function ensureNpmPackages() {
  const stamp = join(ROOT, LOCK_STAMP);
  const wanted = lockOf(ROOT);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Installing npm packages');
  const { status } = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (status !== 0)
    throw new Refusal('"npm ci" failed: see above. Check the network and run this again.');
  writeFileSync(stamp, wanted);
}
