import { fileURLToPath } from 'node:url'
import { answerSchemas } from './scripts/setup/answerSchemas.mjs'
import { libraryParts } from './scripts/setup/libraryParts.mjs'
import { buildServiceWorker } from './scripts/setup/serviceWorker.mjs'
import { buildThreads } from './scripts/setup/threads.mjs'
import { version } from './package.json'

/** TypeScript's projects below the server and whatever runs on Node. */
const PROJECTS = [{ path: '../core' }, { path: '../shared' }, { path: '../demo' }]
/** What was checked before is looked at again only where it changed. */
const checkedBefore = (program: string) => ({
  incremental: true,
  tsBuildInfoFile: `../.cache/types/${program}.tsbuildinfo`,
})

const BUILD = process.env.HECTARUM_BUILD_DIR ?? '.nuxt'
const SERVER_TYPES = fileURLToPath(new URL(`${BUILD}/tsconfig.server.json`, import.meta.url))
const ENDPOINTS = fileURLToPath(new URL('server/endpoints/', import.meta.url))

export default defineNuxtConfig({
  buildDir: BUILD,
  modules: ['@nuxt/ui', '@pinia/nuxt', '@nuxt/eslint', 'nuxt-auth-utils'],
  // With ssr off, Nuxt 4.4's development server looks for its entry only under the environment API.
  $development: { experimental: { viteEnvironmentApi: true } },
  ssr: false,
  // Nothing reads them: the server runs as it is built.
  sourcemap: false,
  imports: { dirs: ['composables/**', 'stores'] },
  components: [{ path: '~/components', pathPrefix: false }],
  // Prettier breaks lines where HTML has a blank: condensed away, words of two elements would run together.
  vue: { compilerOptions: { whitespace: 'preserve' } },
  devtools: { enabled: false },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Hectarum',
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [
        { rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' },
        { rel: 'manifest', href: '/manifest.webmanifest' },
        { rel: 'apple-touch-icon', href: '/icon-192.png' },
      ],
    },
  },
  css: ['~/assets/theme.css'],
  // The theme switch is ours: three classes, paper the one without a name.
  colorMode: { preference: 'paper', fallback: 'paper', classSuffix: '', storageKey: 'hectarum-theme' },
  ui: { fonts: false },
  runtimeConfig: {
    version,
    public: { version },
    session: {
      name: 'hectarum-session',
      password: '',
      maxAge: 30 * 24 * 3600,
      sessionHeader: false,
      cookie: { httpOnly: true, sameSite: 'strict', path: '/', secure: false },
    },
  },
  // Who is signed in is asked for by our own route: the library's would fetch at every start.
  auth: { loadStrategy: 'none' },
  experimental: {
    appManifest: false,
    // Told and offered by our own plugin.
    emitRouteChunkError: 'manual',
    // A page is fetched when somebody reaches for its link, not because the link can be seen.
    defaults: { nuxtLink: { prefetchOn: { visibility: false, interaction: true } } },
  },
  hooks: {
    // The head names no page's parts before they are asked for: a first visit takes what it shows.
    'build:manifest': (manifest) => {
      for (const part of Object.values(manifest)) part.dynamicImports = []
    },
    // Behind the last part that is copied, before the server learns what it has to serve.
    'nitro:build:public-assets': (nitro) => buildServiceWorker(nitro.options.output.publicDir, version),
  },
  compatibilityDate: '2026-11-01',
  nitro: {
    preset: 'node-server',
    errorHandler: '~~/server/http/errorHandler.ts',
    compressPublicAssets: { gzip: true, brotli: true },
    // What routes answer, for their description: read from the types of their handlers.
    virtual: {
      '#answers': () => `export default ${JSON.stringify(answerSchemas(SERVER_TYPES, ENDPOINTS))}`,
    },
    typescript: { tsConfig: { references: PROJECTS, compilerOptions: checkedBefore('server') } },
    hooks: {
      compiled: (nitro) => buildThreads(nitro.options.output.serverDir),
    },
  },
  vite: { worker: { format: 'es' }, plugins: [libraryParts()] },
  // Core, shared and the sample are projects of their own, checked once: the others read their declarations.
  typescript: {
    strict: true,
    tsConfig: {
      references: [{ path: '../core' }, { path: '../shared' }],
      compilerOptions: { noUncheckedIndexedAccess: true, ...checkedBefore('app') },
      // A tag of no component would show nothing and say nothing.
      vueCompilerOptions: { checkUnknownComponents: true },
    },
    nodeTsConfig: {
      references: PROJECTS,
      include: [
        '../scripts/**/*.ts',
        '../test/**/*.ts',
        '../bench/**/*.ts',
        '../core/**/*.test.ts',
        '../shared/**/*.test.ts',
        '../demo/**/*.test.ts',
        '../vitest.config.ts',
      ],
      // The app's own tests take it along into the app's project.
      exclude: ['../test/support/vueGlobals.ts'],
      compilerOptions: {
        noUncheckedIndexedAccess: true,
        allowJs: true,
        checkJs: false,
        ...checkedBefore('node'),
      },
    },
  },
  telemetry: false,
  eslint: { config: { stylistic: false } },
  icon: {
    provider: 'none',
    fallbackToApi: false,
    serverBundle: 'local',
    // The places name their icons in a module.
    clientBundle: {
      scan: { globInclude: ['app/**/*.{vue,ts}'] },
      includeCustomCollections: true,
      sizeLimitKb: 256,
    },
  },
})
