import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/demoData.ts',
  // A second try on a machine that stalled; what passes then is told as flaky, and looked into.
  retries: 1,
  outputDir: 'test-results',
  // Generous: a busy machine is slow, not wrong.
  timeout: 240_000,
  expect: { timeout: 20_000 },
  // What is slow and says least runs in the long suite only.
  ...(process.env.MYOKINET_LONG ? {} : { grepInvert: /@long/ }),
  fullyParallel: true,
  workers: 2,
  forbidOnly: process.env.CI !== undefined,
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : [['list']],
  use: {
    // The program is kept on a device by one test of its own; elsewhere it would only be fetched again and again.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    actionTimeout: 60_000,
    timezoneId: 'Europe/Amsterdam',
    locale: 'en-GB',
    screenshot: 'only-on-failure',
    launchOptions: {
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
    },
  },
});
