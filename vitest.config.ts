import { defineConfig } from 'vitest/config'

const node = (name: string, include: string[], options: object = {}) => ({
  test: { name, environment: 'node' as const, include, ...options },
})

export default defineConfig({
  test: {
    projects: [
      node('core', ['core/src/**/*.test.ts'], { testTimeout: 120_000 }),
      node('book', ['contract/src/**/*.test.ts', 'catalogue/src/**/*.test.ts', 'scripts/**/*.test.ts']),
      node('cli', ['cli/src/**/*.test.ts'], { testTimeout: 60_000 }),
      node('server', ['server/src/**/*.test.ts'], { testTimeout: 60_000, hookTimeout: 120_000, fileParallelism: false }),
      { test: { name: 'web', environment: 'jsdom', include: ['web/src/**/*.test.{ts,tsx}'], testTimeout: 30_000 } },
    ],
  },
})
