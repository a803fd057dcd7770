import { defineConfig } from '@playwright/test'

/** The real interface in Debian's Chromium, over the production build. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 150_000,
  // Two files at a time, each with a browser and a library of its own; what waits for the press may then wait longer.
  workers: 2,
  // The checking machine is shared and stalls for seconds at times: a test may be tried once more there, and is then listed as flaky.
  retries: process.env.CI ? 1 : 0,
  expect: { timeout: 15_000 },
  reporter: 'list',
  use: {
    baseURL: 'http://localhost:4311',
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    // Each test comes as a first visit, and would lay in the whole app for days without a network: a fifth of all the time. The
    // walks that show the app without a network, and the long one from manuscript to sale, allow it.
    serviceWorkers: 'block',
    // A menu that still unfolds is not where it was when a slow machine looked.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        '--disable-quic',
      ],
    },
  },
  webServer: {
    command: 'node node_modules/next/dist/bin/next start -p 4311',
    url: 'http://localhost:4311/',
    reuseExistingServer: false,
    timeout: 60_000,
  },
})
