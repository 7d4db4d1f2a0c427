import { defineConfig } from '@playwright/test';
import { chromiumArguments, chromiumPath } from './scripts/lib/chromium.mjs';

export default defineConfig({
  testDir: 'e2e',
  // Two, each with an application of its own: one waits while the other computes.
  workers: 2,
  fullyParallel: false,
  forbidOnly: true,
  // What fails once is a fault.
  retries: 0,
  timeout: 60_000,
  // A busy machine answers late; what never comes still fails.
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: chromiumPath, args: chromiumArguments },
    colorScheme: 'light',
    locale: 'en-GB',
    timezoneId: 'Europe/Berlin',
    serviceWorkers: 'block',
    screenshot: 'off',
  },
});
