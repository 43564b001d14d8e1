import { defineConfig } from '@playwright/test'
import base from '../playwright.config'

// Not a test: bin/screenshots runs it to take docs/screenshots.
export default defineConfig({
  ...base,
  testDir: '.',
  outputDir: '../test-results',
  testMatch: 'screenshots.ts',
  projects: [{ name: 'screenshots' }],
  // One after the other: the last ones show what they have done.
  workers: 1,
  fullyParallel: false,
})
