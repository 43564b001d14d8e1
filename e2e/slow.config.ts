import { defineConfig } from '@playwright/test'
import base from '../playwright.config'

// Not a test of what it does: bin/bench runs it to time the first screens on a slow phone.
export default defineConfig({
  ...base,
  testDir: '.',
  outputDir: '../test-results',
  testMatch: 'slow.ts',
  projects: [{ name: 'slow' }],
  workers: 1,
  retries: 0,
  use: { ...base.use, viewport: { width: 390, height: 844 }, hasTouch: true, serviceWorkers: 'allow' },
})
