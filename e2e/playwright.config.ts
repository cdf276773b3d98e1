import { defineConfig } from '@playwright/test';

const port = process.env['TEST_PORT'];
const cluster = process.env['TEST_DATABASE_URL'];
if (!port || !cluster)
  throw new Error('Browser tests need a server and a database of their own: run "./test browser".');

export default defineConfig({
  testDir: 'stories',
  outputDir: 'results',
  timeout: 120_000,
  // Times are measured to the frame: nothing else may run beside them on a small machine.
  workers: 1,
  retries: 0,
  reporter: [['list'], ['json']],
  globalSetup: './fresh-database.ts',
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update'],
    },
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
  },
});
