import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = {
  '#shared': fileURLToPath(new URL('./shared', import.meta.url)),
  '~': fileURLToPath(new URL('./app', import.meta.url)),
}
// Slow only where the machine is: time is no part of what is asked.
const unit = { setupFiles: ['test/support/propertySeed.ts'], testTimeout: 60_000, pool: 'threads' as const }

/**
 * What is tried: core by itself, the composables of the app, the built server on real PostgreSQL with its API
 * and its pages in a real browser (each file has a server and a database of its own), and starting for real.
 */
export default defineConfig({
  test: {
    projects: [
      {
        resolve: { alias },
        // Core keeps nothing from one call to the next: files of a worker share the modules they read.
        test: { ...unit, name: 'core', include: ['{core,shared,demo}/**/*.test.ts'], isolate: false },
      },
      { resolve: { alias }, test: { ...unit, name: 'app', include: ['app/**/*.test.ts'] } },
      {
        resolve: { alias },
        test: {
          name: 'served',
          include: ['test/{api,journeys}/**/*.test.ts'],
          expect: { poll: { timeout: 10_000 } },
          globalSetup: ['test/support/clusterSetup.ts'],
          testTimeout: 180_000,
          hookTimeout: 180_000,
          // Browsers wait more than they work.
          maxWorkers: 4,
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
