import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: '.',
  timeout: 300_000,
  expect: { timeout: 30_000 },
  // Two at a time, each on a school of its own.
  workers: 2,
  fullyParallel: true,
  retries: 0,
  forbidOnly: true,
  outputDir: 'test-results',
  reporter: [['line'], ['json', { outputFile: 'test-results/report.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    // Nobody looks at these pages: a quarter of the dots is painted in four fifths of the time.
    deviceScaleFactor: 0.5,
    actionTimeout: 30_000,
    screenshot: 'only-on-failure',
    timezoneId: 'Europe/Oslo',
    locale: 'en-GB',
    launchOptions: {
      executablePath: '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
