import { spawnSync } from 'node:child_process';
import { ROOT } from './paths.mjs';
import { freePort } from './ports.mjs';

/**
 * Runs Playwright with one of e2e's configurations on a database and a port of its own.
 * @param {import('./cluster.mjs').RunningCluster} cluster
 * @param {string} config file in e2e/
 * @param {NodeJS.ProcessEnv} [env]
 * @returns {Promise<boolean>} whether every story passed
 */
export async function playwright(cluster, config, env = {}) {
  const { status } = spawnSync('npx', ['playwright', 'test', '--config', `e2e/${config}`], {
    cwd: ROOT,
    stdio: 'inherit',
    env: {
      ...process.env,
      TEST_DATABASE_URL: cluster.url('orthokin'),
      TEST_PORT: String(await freePort()),
      ...env,
    },
  });
  return status === 0;
}
