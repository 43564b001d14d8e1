import { defineConfig } from '@playwright/test'

// bin/test starts the server on the demo data and sets BASE_URL.
export default defineConfig({
  testDir: 'e2e',
  workers: 1,
  timeout: 180_000,
  expect: { timeout: 20_000 },
  outputDir: 'test-results',
  use: {
    baseURL: process.env.BASE_URL,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
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
})
