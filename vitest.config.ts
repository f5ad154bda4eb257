import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const alias = { '#shared': fileURLToPath(new URL('./shared', import.meta.url)) }

/** Three kinds of test: the core and schemas by themselves, the API on real PostgreSQL, the real page in a real browser. */
export default defineConfig({
  test: {
    projects: [
      { resolve: { alias }, test: { name: 'unit', include: ['core/**/*.test.ts', 'shared/**/*.test.ts', 'demo/**/*.test.ts'] } },
      { resolve: { alias }, test: { name: 'api', include: ['test/api/**/*.test.ts'], testTimeout: 60_000, hookTimeout: 120_000, fileParallelism: false } },
      { resolve: { alias }, test: { name: 'journeys', include: ['test/journeys/**/*.test.ts'], testTimeout: 180_000, hookTimeout: 180_000, fileParallelism: false } },
    ],
  },
})
