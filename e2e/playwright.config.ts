import { defineConfig } from '@playwright/test';
import { chromiumLaunch } from '../scripts/lib/browser.mjs';

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  fullyParallel: false,
  workers: 2,
  retries: 0,
  forbidOnly: true,
  reporter: 'list',
  // Waits are for states of the page; these only end a run that hangs, on the busiest machine.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  use: {
    baseURL: process.env.NORTH_PANE_URL ?? 'http://localhost:4170',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'America/Denver',
    reducedMotion: 'reduce',
    launchOptions: chromiumLaunch,
  },
});
