import { defineConfig } from '@playwright/test';
import { browserOptions } from './e2e/browser';

export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.spec.ts',
  outputDir: '.olvet/test-results',
  workers: 2,
  timeout: 90_000,
  expect: { timeout: 15_000 },
  forbidOnly: true,
  // The page honours it; a dialog that still grows can lose a click to where it was.
  use: { ...browserOptions, contextOptions: { reducedMotion: 'reduce' } },
});
