import { ensureBuilt } from './lib/build.mjs';
import { ensureCluster } from './lib/cluster.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { playwright } from './lib/playwright.mjs';
import { run } from './lib/say.mjs';

// Runs one of e2e's Playwright configurations on the demo data: pictures, or what is measured in a browser.
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
