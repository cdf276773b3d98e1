import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';
import { chromium } from './chromium.js';

if (!process.env['TEST_DATABASE_URL'])
  throw new Error('Browser tests need a database of their own: run "./test browser".');

export default defineConfig({
  testDir: 'stories',
  outputDir: 'results',
  timeout: 120_000,
  // A story keeps a core busy, page and server together, and waits for a drill's own pace a third of its time.
  // Those that measure to the frame are run alone (see scripts/test.mjs).
  workers: Math.ceil(1.5 * availableParallelism()),
  globalSetup: './stories/support/template.ts',
  // A small machine with several pages on it has slow moments.
  expect: { timeout: 20_000 },
  // A machine whose neighbours take its time has moments no wait foresees: a story that fails is told
  // once more, on a database of its own, and is printed as flaky so that nobody overlooks it.
  retries: 1,
  reporter: [['list'], ['json']],
  use: {
    launchOptions: chromium,
    // What is put aside for when there is no network would be fetched by every story's browser anew; the
    // stories of that let it (see offline.spec.ts).
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    // A trace pictures the whole document at every step: half of a small machine's time.
    trace: 'off',
    screenshot: 'only-on-failure',
  },
});
