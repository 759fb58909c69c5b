import { defineConfig } from '@playwright/test';

/** Chromium of Debian, as root or not, with nothing that looks for a network. */
export const chromium = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  fullyParallel: false,
  workers: 1,
  retries: 0,
  forbidOnly: true,
  reporter: 'list',
  timeout: 45_000,
  expect: { timeout: 10_000 },
  use: {
    baseURL: process.env.NORTH_PANE_URL ?? 'http://localhost:4170',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'America/Denver',
    reducedMotion: 'reduce',
    launchOptions: chromium,
  },
});
