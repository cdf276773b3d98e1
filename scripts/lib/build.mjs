import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { DATA, PACKAGED, ROOT } from './paths.mjs';
import { Refusal, say } from './say.mjs';

const NOT_SOURCE = new Set(['node_modules', 'dist', 'dist-test', 'dist-types', 'results', 'test']);
const BUILT = ['apps/server/dist/main.js', 'apps/web/dist/index.html'];

/** @param {string} folder @returns {string[]} */
const filesIn = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (NOT_SOURCE.has(entry.name) || entry.name.endsWith('.tsbuildinfo')) return [];
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesIn(path) : [path];
  });

function fingerprint() {
  const files = [
    ...['packages', 'apps'].flatMap((folder) => filesIn(join(ROOT, folder))),
    join(ROOT, 'package-lock.json'),
    join(ROOT, 'tsconfig.base.json'),
  ];
  const hash = createHash('sha256');
  for (const file of files.sort()) {
    const { mtimeMs, size } = statSync(file);
    hash.update(`${file} ${mtimeMs} ${size}\n`);
  }
  return hash.digest('hex');
}

const STAMP = join(DATA, 'built');

/** Whether the build was made from the current files. */
const isCurrent = () =>
  BUILT.every((file) => existsSync(join(ROOT, file))) &&
  existsSync(STAMP) &&
  readFileSync(STAMP, 'utf8') === fingerprint();

/**
 * Builds server and web, and stamps the result. Two builds at once would mix their files, so the caller holds the
 * lock (`npm run build` does).
 * @param {{ unlessCurrent: boolean }} options
 * @returns {boolean} whether it could be built
 */
export function build({ unlessCurrent }) {
  if (unlessCurrent && isCurrent()) return true;
  rmSync(STAMP, { force: true });
  const now = fingerprint();
  const { status } = spawnSync('npm', ['run', '--silent', 'build:all'], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  if (status === 0) writeFileSync(STAMP, now);
  return status === 0;
}

/** Builds server and web, unless the last build is current or this is an unpacked package. */
export function ensureBuilt() {
  if (existsSync(PACKAGED) || isCurrent()) return;
  say('Building');
  const { status } = spawnSync('npm', ['run', '--silent', 'build', '--', '--unless-current'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (status !== 0) {
    throw new Refusal('The build failed: see above ("npm run build" shows all of it).');
  }
}
