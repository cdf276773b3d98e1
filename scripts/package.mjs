import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuilt } from './lib/build.mjs';
import { ensureNpmPackages, LOCK_STAMP, lockOf } from './lib/packages.mjs';
import { DATA, PACKAGED, ROOT } from './lib/paths.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const HELP = `Packs the club's server into one file: built, with all it needs from npm, and with ./start for
backups. On the machine it goes to it is unpacked and served: nothing is built or fetched there.

  npm run package

The file is data/package/orthokin-VERSION-COMMIT.tar.gz; see docs/deploying.md.`;

/** What is served or needed by ./start, without what only builds and tests need. */
const TAKEN = [
  ...['LICENSE', 'README.md', 'package.json', 'package-lock.json', 'start', 'deploy', 'docs'],
  ...['scripts/start.mjs', 'scripts/lib'],
];
const APPS = ['apps/server', 'apps/web', 'apps/beacons', 'packages/core', 'packages/contract'];
const NOT_TAKEN = /(\.d\.ts|\.map|\.tsbuildinfo)$|^docs\/screenshots/;

/** @param {string} program @param {string[]} args @param {string} cwd */
function must(program, args, cwd) {
  const done = spawnSync(program, args, { cwd, encoding: 'utf8' });
  if (done.status !== 0)
    throw new Refusal(`"${program} ${args.join(' ')}" failed: ${done.stderr.trim()}`);
  return done.stdout.trim();
}

/** @param {string} path below the root @param {string} into */
function take(path, into) {
  cpSync(join(ROOT, path), join(into, path), {
    recursive: true,
    filter: (source) => !NOT_TAKEN.test(source.slice(ROOT.length + 1)),
  });
}

/** Tells an unpacked package which version it is. @param {string} version @param {string} commit */
const labelOf = (version, commit) => ({ version, commit, packedAt: new Date().toISOString() });

await run(async () => {
  const { values } = parseArgs({ options: { help: { type: 'boolean', default: false } } });
  if (values.help) {
    say(HELP);
    return 0;
  }
  if (existsSync(PACKAGED)) throw new Refusal('This is a package already: pack in a checkout.');
  ensureNpmPackages();
  ensureBuilt();
  const { version } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8'));
  const commit = must('git', ['rev-parse', '--short', 'HEAD'], ROOT);
  const name = `orthokin-${version}-${commit}`;
  const home = join(DATA, 'package');
  const folder = join(home, name);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  for (const path of TAKEN) take(path, folder);
  for (const app of APPS)
    for (const part of ['package.json', 'dist']) take(join(app, part), folder);
  // npm expects every workspace of the lock file to be there.
  for (const path of ['e2e/package.json', 'bench/package.json']) take(path, folder);
  say('Fetching what the server needs');
  must(
    'npm',
    [
      ...['ci', '--omit=dev', '--ignore-scripts', '--no-audit', '--no-fund', '--prefer-offline'],
      ...['--include-workspace-root', '-w', '@orthokin/server', '-w', '@orthokin/beacons'],
    ],
    folder,
  );
  writeFileSync(join(folder, LOCK_STAMP), lockOf(folder));
  writeFileSync(join(folder, 'packaged.json'), JSON.stringify(labelOf(version, commit)));
  const file = `${folder}.tar.gz`;
  must('tar', ['-czf', file, '-C', home, name], ROOT);
  rmSync(folder, { recursive: true });
  const sum = createHash('sha256').update(readFileSync(file)).digest('hex');
  writeFileSync(`${file}.sha256`, `${sum}  ${name}.tar.gz\n`);
  const megabytes = Math.round(readFileSync(file).length / 2 ** 20);
  say(`${file}, ${megabytes} MB`);
  return 0;
});
