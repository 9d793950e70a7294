import { defineConfig } from '@playwright/test';
import { browserOptions } from './e2e/browser';

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  outputDir: '.olvet/test-results',
  workers: 2,
  timeout: 240_000,
  expect: { timeout: 30_000 },
  forbidOnly: true,
  // The page honours it; a dialog that still grows can lose a click to where it was.
  use: { ...browserOptions, trace: 'retain-on-failure', contextOptions: { reducedMotion: 'reduce' } },
});
