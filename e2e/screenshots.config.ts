import { defineConfig } from '@playwright/test';
import { wholeChromium } from './chromium.js';
import stories from './playwright.config.js';

/** The pictures of the README are taken like a story, from the same demo data. */
export default defineConfig({
  ...stories,
  testDir: 'pictures',
  testMatch: '*.ts',
  reporter: 'list',
  workers: 1,
  use: { ...stories.use, launchOptions: wholeChromium },
});
