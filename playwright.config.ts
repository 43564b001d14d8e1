import { defineConfig } from '@playwright/test'

const browser = {
  executablePath: '/usr/bin/chromium-headless-shell',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
}

// bin/test starts the server on the demo data and sets BASE_URL.
export default defineConfig({
  testDir: 'e2e',
  // One waits while two work.
  workers: 3,
  fullyParallel: true,
  timeout: 300_000,
  // A machine that stumbles over one of hundreds of pages is told as flaky, not as a fault of the work.
  retries: 1,
  // As long as a slow machine may take; nothing waits longer than it has to.
  expect: { timeout: 45_000 },
  outputDir: 'test-results',
  // Some take the server down, or hold what all planters of the workshop share: they would be in the way of the others.
  projects: [
    { name: 'together', grepInvert: /@alone/ },
    // Signing in and working without a signal once more, by TLS through a proxy, with a certificate of our own.
    {
      name: 'proxied',
      grep: /@proxied/,
      use: {
        baseURL: process.env.PROXIED_URL,
        ignoreHTTPSErrors: true,
        launchOptions: { ...browser, args: [...browser.args, '--ignore-certificate-errors'] },
      },
    },
    { name: 'alone', grep: /@alone/, dependencies: ['together'], workers: 1 },
  ],
  use: {
    baseURL: process.env.BASE_URL,
    // Menus that move into their places while they are pressed lose a press now and then.
    contextOptions: { reducedMotion: 'reduce' },
    // A press that cannot be done is told before the whole test is over.
    actionTimeout: 60_000,
    navigationTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
    screenshot: 'only-on-failure',
    // Those that need what is kept on the device allow them.
    serviceWorkers: 'block',
    launchOptions: browser,
  },
})
