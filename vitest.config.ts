import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = {
  '#shared': fileURLToPath(new URL('./shared', import.meta.url)),
  '~': fileURLToPath(new URL('./app', import.meta.url)),
}

/**
 * Four kinds of test: the core by itself, the API on real PostgreSQL, the real page in a real browser (two
 * files at a time: each has its own server and database), and starting for real.
 */
export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        // Slow only where the machine is: time is no part of what is asked.
        test: {
          name: 'unit',
          include: ['{core,shared,demo,app}/**/*.test.ts'],
          setupFiles: ['test/support/propertySeed.ts'],
          testTimeout: 60_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'api',
          include: ['test/api/**/*.test.ts'],
          globalSetup: ['test/support/clusterSetup.ts'],
          testTimeout: 60_000,
          hookTimeout: 120_000,
          maxWorkers: 2,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'journeys',
          include: ['test/journeys/**/*.test.ts'],
          expect: { poll: { timeout: 10_000 } },
          globalSetup: ['test/support/clusterSetup.ts'],
          testTimeout: 180_000,
          hookTimeout: 180_000,
          maxWorkers: 2,
        },
      },
      {
        resolve: { alias },
        test: {
          name: 'start',
          include: ['test/start/**/*.test.ts'],
          testTimeout: 300_000,
          hookTimeout: 120_000,
          fileParallelism: false,
        },
      },
    ],
  },
})
