import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensureCluster } from './lib/cluster.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { DATA, ROOT } from './lib/paths.mjs';
import { playwright } from './lib/playwright.mjs';
import { Refusal, run, say } from './lib/say.mjs';

const HELP = `Runs every check: lint, types, unit tests, server tests over HTTP on PostgreSQL, and
browser tests in headless Chromium, on a database of their own. The last line is the sum.

  ./test            everything
  ./test SUITE …    only these: lint, types, unit, server, browser`;

/** @typedef {{ passed: number, failed: number }} Counts */

const REPORTS = join(DATA, 'test-reports');

/** @param {string} command @param {string[]} args @param {NodeJS.ProcessEnv} [env] */
const succeeds = (command, args, env = {}) =>
  spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } })
    .status === 0;

/** A check that passes or fails as a whole. @param {boolean} ok @returns {Counts} */
const one = (ok) => ({ passed: ok ? 1 : 0, failed: ok ? 0 : 1 });

/**
 * Counts from a runner's report. A run that failed without saying which test did (a suite that
 * does not load, say) still counts as a failure.
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

/** @param {string} name @param {string[]} projects @param {NodeJS.ProcessEnv} [env] */
function jest(name, projects, env) {
  const report = join(REPORTS, `${name}.json`);
  const ok = succeeds(
    'npx',
    [
      'jest',
      '--selectProjects',
      ...projects,
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

/** @param {import('./lib/cluster.mjs').RunningCluster} cluster */
async function browser(cluster) {
  const report = join(REPORTS, 'browser.json');
  const ok = await playwright(cluster, 'playwright.config.ts', {
    PLAYWRIGHT_JSON_OUTPUT_FILE: report,
  });
  return reported(report, ok, ({ stats }) => ({
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected,
  }));
}

/** @type {Record<string, (cluster: import('./lib/cluster.mjs').RunningCluster) => Counts | Promise<Counts>>} */
const SUITES = {
  lint: () => one(succeeds('npm', ['run', '--silent', 'lint'])),
  types: () => one(succeeds('npm', ['run', '--silent', 'types'])),
  unit: () => jest('unit', ['core', 'contract', 'web', 'scripts']),
  server: (cluster) => jest('server', ['server'], { TEST_DATABASE_URL: cluster.url('orthokin') }),
  browser,
};

await run(async () => {
  const asked = process.argv.slice(2);
  if (asked.includes('--help')) {
    say(HELP);
    return 0;
  }
  const strange = asked.find((name) => !(name in SUITES));
  if (strange)
    throw new Refusal(`${strange}: allowed ${Object.keys(SUITES).join(', ')}. See ./test --help.`);
  const names = asked.length > 0 ? asked : Object.keys(SUITES);

  ensureDebianPackages(['postgresql', 'chromium']);
  ensureNpmPackages();
  ensureBuilt();
  rmSync(REPORTS, { recursive: true, force: true });
  mkdirSync(REPORTS, { recursive: true });
  const cluster = await ensureCluster('test', { mayCreate: true });
  const total = { passed: 0, failed: 0 };
  try {
    for (const name of names) {
      say(`\n— ${name} —`);
      const { passed, failed } = (await SUITES[name]?.(cluster)) ?? { passed: 0, failed: 1 };
      say(`${name}: ${passed} passed, ${failed} failed`);
      total.passed += passed;
      total.failed += failed;
    }
  } finally {
    cluster.stop();
  }
  say(`\n${total.passed} passed, ${total.failed} failed`);
  return total.failed > 0 ? 1 : 0;
});
