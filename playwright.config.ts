import { defineConfig } from '@playwright/test';

// Chosen once and handed on to the test processes, so that a server left by another run is not in the way.
const port = Number((process.env['CABANON_TEST_PORT'] ??= String(20_000 + (process.pid % 20_000))));

/** Drives the real app, as it is served, in Debian's Chromium. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 60_000,
  expect: { timeout: 15_000 },
  workers: 2,
  fullyParallel: true,
  // Shared machines stall now and then; a test that needs its second try is reported as flaky.
  retries: process.env['CI'] ? 1 : 0,
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    trace: 'off',
    // Only the test of a day without a network keeps the app in the browser.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  webServer: {
    command: `node --import tsx server/main.ts --port ${port}`,
    url: `http://localhost:${port}/health`,
    reuseExistingServer: false,
    env: { LOG_LEVEL: 'silent' },
  },
});
