import { spawnSync } from 'node:child_process';
import { testDatabase } from './cluster.mjs';
import { ROOT } from './paths.mjs';

/**
 * Runs Playwright with one of e2e's configurations; every worker serves the app on a database of
 * the cluster and a port of its own.
 * @param {import('./cluster.mjs').RunningCluster} cluster
 * @param {string} config file in e2e/
 * @param {{ args?: string[], env?: NodeJS.ProcessEnv }} [more]
 * @returns {boolean} whether every story passed
 */
export function playwright(cluster, config, { args = [], env = {} } = {}) {
  const { status } = spawnSync(
    'npx',
    ['playwright', 'test', '--config', `e2e/${config}`, ...args],
    {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...process.env, ...testDatabase(cluster), ...env },
    },
  );
  return status === 0;
}
