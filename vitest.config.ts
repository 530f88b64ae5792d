import { availableParallelism } from 'node:os'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'
import { oneFile } from './vitest.oneFile.ts'
import { SERVER_BUNDLE } from './web/src/testing/bundleServer.ts'

/** `npm test -- --long` holds every law against more cases than anyone waits for. */
const LONG = process.env.TENDER_GILL_LONG !== undefined

/** No test is about speed (the bench is), and a busy machine may take ten times as long; a test that hangs is told within the minute. */
const PATIENCE = { testTimeout: LONG ? 600_000 : 60_000, hookTimeout: 120_000 }

/** Cases and pages are made and forgotten by the thousand: with room for them the collector of garbage comes less often. */
const ROOMY = { execArgv: ['--max-semi-space-size=64'] }

/** Files of pure code share their modules: the book and the laws' tools are read once, and nothing they hold ever changes. */
const SHARED = { isolate: false }

/** Packages as they are shipped to people: Vitest adds those for developers to whatever conditions it is given, so they are set last. */
const asShipped: Plugin = {
  name: 'as-shipped',
  configResolved(config) {
    config.ssr.resolve = { ...config.ssr.resolve, conditions: ['module', 'browser', 'node'] }
  },
}

/** Tests of no page that look at what a browser keeps. */
const NEEDS_A_PAGE = ['web/src/askAhead.test.ts', 'web/src/state/store.test.ts']

const pure = oneFile()

const node = (name: string, include: string[], options: object = {}) => ({
  plugins: [pure],
  test: { name, environment: 'node' as const, include, setupFiles: ['vitest.laws.ts'], ...PATIENCE, ...ROOMY, ...options },
})

export default defineConfig({
  test: {
    // A test of pages waits for its database and its timers a third of the time: half as many workers again as there are processors.
    maxWorkers: Math.ceil(availableParallelism() * 1.5),
    projects: [
      node('core', ['core/src/**/*.test.ts'], { provide: { lawTimes: LONG ? 5 : 0.5 }, ...SHARED }),
      node(
        'book',
        [
          'contract/src/**/*.test.ts',
          'catalogue/src/**/*.test.ts',
          'names/src/**/*.test.ts',
          'csv/src/**/*.test.ts',
          'words/src/**/*.test.ts',
          'simulator/src/**/*.test.ts',
          'scripts/**/*.test.ts',
        ],
        SHARED,
      ),
      node('cli', ['cli/src/**/*.test.ts']),
      node('server', ['server/src/**/*.test.ts'], { ...SHARED, globalSetup: ['server/src/testing/globalSetup.ts'] }),
      // What of the pages has no page in it: words, forms and histories, pure.
      node('words of the pages', ['web/src/**/*.test.ts'], { exclude: NEEDS_A_PAGE, ...SHARED }),
      {
        // Pages are tested as they are shipped: React for people and not for developers, the server in one file.
        oxc: { jsx: { runtime: 'automatic', development: false } },
        resolve: { alias: [{ find: /^.*\/realServer\.ts$/, replacement: SERVER_BUNDLE }] },
        plugins: [asShipped],
        test: {
          name: 'web',
          environment: 'jsdom',
          env: { NODE_ENV: 'production' },
          setupFiles: ['vitest.laws.ts', 'web/src/testing/setup.ts'],
          include: ['web/src/**/*.test.tsx', ...NEEDS_A_PAGE],
          globalSetup: ['server/src/testing/globalSetup.ts', 'web/src/testing/bundleServer.ts'],
          ...PATIENCE,
          ...ROOMY,
          ...SHARED,
        },
      },
    ],
  },
})
