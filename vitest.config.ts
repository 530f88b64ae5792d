import { defineConfig } from 'vitest/config'

/** Generous: no test is about speed (the bench is), and a busy machine may take ten times as long. */
const PATIENCE = { testTimeout: 300_000, hookTimeout: 300_000 }

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
        'simulator/src/**/*.test.ts',
        'scripts/**/*.test.ts',
      ]),
      node('cli', ['cli/src/**/*.test.ts']),
      node('server', ['server/src/**/*.test.ts'], { fileParallelism: false }),
      { test: { name: 'web', environment: 'jsdom', include: ['web/src/**/*.test.{ts,tsx}'], ...PATIENCE } },
    ],
  },
})
