import { defineConfig } from '@playwright/test'

const report = process.env.JOURNEY_REPORT

export default defineConfig({
  testDir: './journeys',
  outputDir: './test-results',
  timeout: 300_000,
  expect: { timeout: 60_000 },
  workers: 1,
  retries: 0,
  reporter: report ? [['list'], ['json', { outputFile: report }]] : 'list',
  use: {
    browserName: 'chromium',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    trace: 'off',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      headless: true,
      chromiumSandbox: false,
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
