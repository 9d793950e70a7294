import { defineConfig } from '@playwright/test';
import { browserOptions } from './browser';

export default defineConfig({
  testDir: '.',
  testMatch: 'screenshots.shots.ts',
  outputDir: '../.olvet/test-results',
  workers: 1,
  timeout: 300_000,
  use: browserOptions,
});
