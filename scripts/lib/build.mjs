import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
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

/** Builds server and web, unless nothing has changed since the last build, or they came built. */
export function ensureBuilt() {
  if (existsSync(PACKAGED)) return;
  const stamp = join(DATA, 'built');
  const now = fingerprint();
  const isBuilt = BUILT.every((file) => existsSync(join(ROOT, file)));
  if (isBuilt && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  say('Building');
  const { status } = spawnSync('npm', ['run', '--silent', 'build'], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  if (status !== 0) {
    throw new Refusal('The build failed: see above ("npm run build" shows all of it).');
  }
  mkdirSync(DATA, { recursive: true });
  writeFileSync(stamp, now);
}
