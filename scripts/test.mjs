import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureCluster, testDatabase } from './lib/cluster.mjs';
import { ensureDebianPackages, ensureNpmPackages, tryDebianPackages } from './lib/packages.mjs';
import { DATA, ROOT } from './lib/paths.mjs';
import { playwright } from './lib/playwright.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const HELP = `Runs every check: lint, format, types, unit tests, server tests over HTTP on PostgreSQL, and
browser tests in headless Chromium, on a database of their own. The last line is the sum.

  ./test                     everything
  ./test SUITE …             only these: lint, format, types, unit, server, browser
  ./test --quick [SUITE …]   of the stories in the browser only one in four, for while something is changed`;

/** @typedef {{ passed: number, failed: number }} Counts */

const REPORTS = join(DATA, 'test-reports');

/** Whether to leave out the stories tagged as thorough. */
let isQuick = false;

/**
 * Runs a command and prints its output when it has ended, so that parallel commands' outputs do not mix.
 * @param {string} command
 * @param {string[]} args
 * @param {NodeJS.ProcessEnv} [env]
 * @returns {Promise<boolean>}
 */
const succeeds = (command, args, env = {}) =>
  new Promise((done) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, ...env },
    });
    /** @type {Buffer[]} */
    const said = [];
    child.stdout.on('data', (data) => said.push(data));
    child.stderr.on('data', (data) => said.push(data));
    child.on('close', (status) => {
      process.stdout.write(Buffer.concat(said));
      done(status === 0);
    });
  });

/** A check that passes or fails as a whole. @param {boolean} ok @returns {Counts} */
const one = (ok) => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 });

/**
 * Counts from a test runner's report. A run that failed without a failed test (because a suite does not load, say)
 * counts as one failure.
 * @param {string} file
 * @param {boolean} ok
 * @param {(report: any) => Counts} read
 * @returns {Counts}
 */
function reported(file, ok, read) {
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { passed, failed } = read(JSON.parse(readFileSync(file, 'utf8')));
  return { passed, failed: ok ? failed : Math.max(1, failed) };
}

/**
 * @param {string} name
 * @param {string[]} projects
 * @param {NodeJS.ProcessEnv} [env]
 * @returns {Promise<Counts>}
 */
async function jest(name, projects, env) {
  const report = join(REPORTS, `${name}.json`);
  const ok = await succeeds(
    'npx',
    [
      'jest',
      '--selectProjects',
      ...projects,
      // By default Jest leaves one core free, for interactive use.
      `--maxWorkers=${availableParallelism()}`,
      '--json',
      `--outputFile=${report}`,
      '--testLocationInResults=false',
    ],
    env,
  );
  return reported(report, ok, ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites }) => ({
    passed: numPassedTests,
    failed: numFailedTests + numRuntimeErrorTestSuites,
  }));
}

/** @param {string[]} tags @returns {string[]} */
const without = (tags) => (tags.length > 0 ? ['--grep-invert', tags.join('|')] : []);

/** Stories that measure single frames: on a small machine nothing else may run at the same time. */
const EXACT = '@exact';
/** Stories that `--quick` leaves out. */
const THOROUGH = '@thorough';

/** @param {import('./lib/cluster.mjs').RunningCluster} cluster @returns {Counts} */
function browser(cluster) {
  const left = isQuick ? [THOROUGH] : [];
  const parts = [
    ['side-by-side', ...without([EXACT, ...left])],
    ['exact', '--grep', EXACT, ...without(left), '--workers', '1'],
  ].map(([name = '', ...args]) => {
    const report = join(REPORTS, `browser-${name}.json`);
    const ok = playwright(cluster, 'playwright.config.ts', {
      // A folder each: Playwright empties its own, with the pictures of what failed before.
      args: [...args, '--output', `e2e/results/${name}`],
      env: { PLAYWRIGHT_JSON_OUTPUT_FILE: report, ...(name === 'exact' && { KEEP_TEMPLATE: '1' }) },
    });
    return reported(report, ok, ({ stats }) => ({
      passed: stats.expected + stats.flaky,
      failed: stats.unexpected,
    }));
  });
  return parts.reduce((a, b) => ({ passed: a.passed + b.passed, failed: a.failed + b.failed }));
}

/** @type {Record<string, (cluster: import('./lib/cluster.mjs').RunningCluster) => Counts | Promise<Counts>>} */
const SUITES = {
  lint: async () => one(await succeeds('npm', ['run', '--silent', 'lint'])),
  format: async () => one(await succeeds('npm', ['run', '--silent', 'format:check'])),
  types: async () => one(await succeeds('npm', ['run', '--silent', 'types'])),
  unit: () => jest('unit', ['core', 'contract', 'web', 'beacons', 'scripts']),
  server: (cluster) => jest('server', ['server'], testDatabase(cluster)),
  browser,
};

/**
 * Suites that run in parallel, stage after stage. Jest and Playwright use all cores by themselves; the others do not.
 */
const STAGES = [['server'], ['unit'], ['lint', 'format', 'types'], ['browser']];

await run(async () => {
  const asked = process.argv.slice(2);
  if (asked.includes('--help')) {
    say(HELP);
    return 0;
  }
  const suites = asked.filter((word) => word !== '--quick');
  isQuick = suites.length < asked.length;
  const strange = suites.find((name) => !(name in SUITES));
  if (strange)
    throw new Refusal(`${strange}: allowed ${Object.keys(SUITES).join(', ')}. See ./test --help.`);
  const names = suites.length > 0 ? suites : Object.keys(SUITES);

  ensureDebianPackages(['postgresql', 'chromium', 'mkcert']);
  tryDebianPackages(['chromium-headless-shell']);
  ensureNpmPackages();
  ensureBuilt();
  rmSync(REPORTS, { recursive: true, force: true });
  mkdirSync(REPORTS, { recursive: true });
  const cluster = await ensureCluster('test', { mayCreate: true });
  const total = { passed: 0, failed: 0 };
  try {
    const report = async (/** @type {string} */ name) => {
      say(`\n— ${name} —`);
      const { passed, failed } = (await SUITES[name]?.(cluster)) ?? { passed: 0, failed: 1 };
      say(`${name}: ${passed} passed, ${failed} failed`);
      total.passed += passed;
      total.failed += failed;
    };
    for (const stage of STAGES)
      await Promise.all(stage.filter((name) => names.includes(name)).map(report));
  } finally {
    cluster.stop();
  }
  say(`\n${total.passed} passed, ${total.failed} failed`);
  return total.failed > 0 ? 1 : 0;
});
