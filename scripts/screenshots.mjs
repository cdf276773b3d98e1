import { ensureBuilt } from './lib/build.mjs';
import { ensureCluster } from './lib/cluster.mjs';
import { ensureDebianPackages, ensureNpmPackages } from './lib/packages.mjs';
import { playwright } from './lib/playwright.mjs';
import { run } from './lib/say.mjs';

// Takes the pictures of docs/screenshots anew, from the demo data.
await run(async () => {
  ensureDebianPackages(['postgresql', 'chromium']);
  ensureNpmPackages();
  ensureBuilt();
  const cluster = await ensureCluster('test', { mayCreate: true });
  try {
    return (await playwright(cluster, 'screenshots.config.ts')) ? 0 : 1;
  } finally {
    cluster.stop();
  }
});
