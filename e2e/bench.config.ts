import { defineConfig } from '@playwright/test';
import shared from './playwright.config.js';

export default defineConfig({
  ...shared,
  testDir: 'bench',
  testMatch: '*.ts',
  reporter: 'list',
});
