import { defineConfig } from '@playwright/test';
import { chromiumArguments, chromiumPath } from './scripts/lib/chromium.mjs';

export default defineConfig({
  testDir: 'e2e',
  // Two cores: one for the browser, one for the application.
  workers: 1,
  fullyParallel: false,
  forbidOnly: true,
  // A loaded machine may lose a key or a frame once; what fails twice is a fault. Flaky ones are named in the report.
  retries: process.env['CI'] ? 1 : 0,
  timeout: 60_000,
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
