import { defineConfig } from '@playwright/test';

/** The interface as keepers use it: a phone and a wide screen, in Debian's Chromium, on a server of each test's own. */
export default defineConfig({
  testDir: 'e2e',
  // Limits for what hangs, not for what is slow: a machine may be five times slower than the one it was written on.
  timeout: 480_000,
  expect: { timeout: 120_000 },
  workers: 3,
  retries: 0,
  forbidOnly: true,
  reporter: 'list',
  use: {
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
    timezoneId: process.env.TZ ?? 'UTC',
    locale: 'en-GB',
    screenshot: 'only-on-failure',
  },
  // What is the same on every width is walked on the phone.
  projects: [
    { name: 'phone', use: { viewport: { width: 390, height: 844 }, hasTouch: true } },
    { name: 'wide', use: { viewport: { width: 1280, height: 800 } }, grepInvert: /\(on a phone\)/ },
  ],
});
