import { defineConfig } from '@playwright/test';
import { wholeChromium } from './chromium.js';
import shared from './playwright.config.js';

export default defineConfig({
  ...shared,
  testDir: 'bench',
  testMatch: '**/bench/*.ts',
  reporter: 'list',
  workers: 1,
  use: { ...shared.use, launchOptions: wholeChromium },
});
