// @ts-check
import { join } from 'node:path'
import { build } from 'vite'
import { PROJECT } from './paths.mjs'

/**
 * Bundles what runs on threads of its own, one file each, beside the built server: the server's own bundle
 * can't be loaded twice.
 * @param {string} serverFolder
 */
export async function buildThreads(serverFolder) {
  await build({
    configFile: false,
    logLevel: 'warn',
    root: PROJECT,
    resolve: { alias: { '#shared': join(PROJECT, 'shared'), '#core': join(PROJECT, 'core') } },
    ssr: { noExternal: true },
    build: {
      ssr: join(PROJECT, 'server', 'threads', 'ground.ts'),
      outDir: join(serverFolder, 'threads'),
      emptyOutDir: true,
      copyPublicDir: false,
      rollupOptions: { output: { entryFileNames: '[name].mjs' } },
    },
  })
}
