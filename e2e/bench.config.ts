import { defineConfig } from '@playwright/test';
import shared from './playwright.config.js';

export default defineConfig({
  ...shared,
  testDir: 'bench',
  testMatch: '**/bench/*.ts',
  reporter: 'list',
  workers: 1,
});
