import { ensureBuilt } from './lib/build.mjs';
import { ensureCluster } from './lib/cluster.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { playwright } from './lib/playwright.mjs';
import { run } from './lib/say.mjs';

// Runs one of e2e's Playwright configurations on a server with the demo data, for screenshots and benchmarks in a
// browser.
const [config = '', ...args] = process.argv.slice(2);
await run(async () => {
  ensureDebianPackages(['postgresql', 'chromium']);
  ensureNpmPackages();
  ensureBuilt();
  const cluster = await ensureCluster('test', { mayCreate: true });
  try {
    return playwright(cluster, config, { args }) ? 0 : 1;
  } finally {
    cluster.stop();
  }
});
