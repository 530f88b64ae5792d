import { defineConfig } from '@playwright/test'
import { launchOptions } from '../scripts/lib/chromium.mjs'

const report = process.env.JOURNEY_REPORT

export default defineConfig({
  testDir: './journeys',
  outputDir: './test-results',
  timeout: 120_000,
  expect: { timeout: 30_000 },
  // Each worker has a server and a database of its own. A journey waits for somebody to look and press a tenth of its time.
  workers: 3,
  // What fails is walked once more with everything it does written down, and counts as failed whatever comes of that.
  retries: 1,
  failOnFlakyTests: true,
  reporter: report ? [['list'], ['json', { outputFile: report }]] : 'list',
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // Written down at every step a journey takes a seventh longer.
    trace: 'on-first-retry',
    screenshot: 'only-on-failure',
    // Requests are seen and broken by journeys; the one that is about having no reception lets the worker in.
    serviceWorkers: 'block',
    launchOptions: launchOptions(),
  },
})
