import { defineConfig } from 'vitest/config'

/** No test is about speed (the bench is), and a busy machine may take ten times as long; a test that hangs is told within the minute. */
const PATIENCE = { testTimeout: 60_000, hookTimeout: 120_000 }

const node = (name: string, include: string[], options: object = {}) => ({
  test: { name, environment: 'node' as const, include, ...PATIENCE, ...options },
})

export default defineConfig({
  test: {
    projects: [
      node('core', ['core/src/**/*.test.ts']),
      node('book', [
        'contract/src/**/*.test.ts',
        'catalogue/src/**/*.test.ts',
        'names/src/**/*.test.ts',
        'csv/src/**/*.test.ts',
        'simulator/src/**/*.test.ts',
        'scripts/**/*.test.ts',
      ]),
      node('cli', ['cli/src/**/*.test.ts']),
      node('server', ['server/src/**/*.test.ts'], { globalSetup: ['server/src/testing/globalSetup.ts'] }),
      {
        test: {
          name: 'web',
          environment: 'jsdom',
          include: ['web/src/**/*.test.{ts,tsx}'],
          globalSetup: ['server/src/testing/globalSetup.ts'],
          ...PATIENCE,
        },
      },
    ],
  },
})
