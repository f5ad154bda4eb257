// @ts-check
import { createHash } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { generateSW } from 'workbox-build'

const DAY_SECONDS = 24 * 3600
/** What was last seen of a crew is kept so long without a network. */
const KEPT_DAYS = 60
const MOST_ANSWERS = 3000
const MOST_PICTURES = 300
/** A network that does not answer in this time is none, s. */
const PATIENCE_SECONDS = 5
const LARGEST_PART = 8 * 1024 * 1024

/**
 * Writes the service worker beside the built pages: the shell and every part of it are kept, so that any link
 * opens without a network; what was last read of a crew answers where the server does not. What is written
 * goes past it: runs have a store of their own.
 * @param {string} publicFolder
 * @param {string} version
 */
export async function buildServiceWorker(publicFolder, version) {
  const parts = readdirSync(publicFolder, { recursive: true }).map(String).sort()
  const shell = createHash('sha256')
    .update(`${version}\n${parts.join('\n')}`)
    .digest('hex')
  await generateSW({
    globDirectory: publicFolder,
    globPatterns: ['**/*.{js,css,woff2,svg,png,json,webmanifest}'],
    swDest: join(publicFolder, 'sw.js'),
    additionalManifestEntries: [{ url: '/', revision: shell }],
    navigateFallback: '/',
    navigateFallbackDenylist: [/^\/api\//],
    dontCacheBustURLsMatching: /\/_nuxt\//,
    maximumFileSizeToCacheInBytes: LARGEST_PART,
    // A new version waits until somebody says so: a run may be open.
    skipWaiting: false,
    clientsClaim: true,
    cleanupOutdatedCaches: true,
    inlineWorkboxRuntime: true,
    sourcemap: false,
    runtimeCaching: [
      {
        urlPattern: /\/api\/organizations\/[^/]+\/attachments\//,
        handler: 'CacheFirst',
        options: { cacheName: 'crew-pictures', expiration: { maxEntries: MOST_PICTURES } },
      },
      {
        urlPattern: /\/api\/(?!health|openapi)(?!.*\/(export|file|whole)\b)/,
        handler: 'NetworkFirst',
        options: {
          cacheName: 'crew-data',
          networkTimeoutSeconds: PATIENCE_SECONDS,
          expiration: { maxEntries: MOST_ANSWERS, maxAgeSeconds: KEPT_DAYS * DAY_SECONDS },
          // Written out as text on one line: expressions alone, that know nothing of what stands around them.
          plugins: [
            {
              fetchDidSucceed: async ({ response }) =>
                response.status >= 500 ? Promise.reject(new Error('the server is not itself')) : response,
              cacheWillUpdate: async ({ response }) =>
                response.status === 200 && (response.headers.get('content-type') ?? '').includes('json')
                  ? response
                  : null,
              cachedResponseWillBeUsed: async ({ cachedResponse }) =>
                cachedResponse &&
                new Response(await cachedResponse.blob(), {
                  headers: [
                    ...cachedResponse.headers,
                    ['x-last-seen', cachedResponse.headers.get('date') ?? ''],
                  ],
                }),
            },
          ],
        },
      },
    ],
  })
}
