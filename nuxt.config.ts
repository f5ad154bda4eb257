import { version } from './package.json'

export default defineNuxtConfig({
  compatibilityDate: '2026-11-01',
  modules: ['@nuxt/ui', '@pinia/nuxt', '@nuxt/eslint'],
  ssr: false,
  telemetry: false,
  devtools: { enabled: false },
  css: ['~/assets/theme.css'],
  ui: { fonts: false },
  icon: {
    provider: 'none', fallbackToApi: false, serverBundle: 'local',
    clientBundle: { scan: true, includeCustomCollections: true, sizeLimitKb: 256 },
  },
  // The theme switch is ours: three classes, paper the one without a name.
  colorMode: { preference: 'paper', fallback: 'paper', classSuffix: '', storageKey: 'hectarum-theme' },
  app: {
    head: {
      htmlAttrs: { lang: 'en' },
      title: 'Hectarum',
      meta: [{ name: 'viewport', content: 'width=device-width, initial-scale=1' }],
      link: [{ rel: 'icon', type: 'image/svg+xml', href: '/icon.svg' }],
    },
  },
  experimental: { appManifest: false },
  runtimeConfig: { version },
  eslint: { config: { stylistic: { semi: false, quotes: 'single', braceStyle: '1tbs', commaDangle: 'always-multiline' } } },
  typescript: {
    strict: true,
    tsConfig: { include: ['../core/**/*.ts', '../demo/**/*.ts'], compilerOptions: { noUncheckedIndexedAccess: true } },
    nodeTsConfig: {
      include: ['../scripts/**/*.ts', '../test/**/*.ts', '../bench/**/*.ts', '../core/**/*.ts', '../demo/**/*.ts'],
      compilerOptions: { noUncheckedIndexedAccess: true },
    },
  },
  vite: { worker: { format: 'es' } },
  // With ssr off, Nuxt 4.4's development server looks for its entry only under the environment API.
  $development: { experimental: { viteEnvironmentApi: true } },
  nitro: { preset: 'node-server', errorHandler: '~~/server/http/errorHandler.ts', compressPublicAssets: { gzip: true, brotli: true } },
})
