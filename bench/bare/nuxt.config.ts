/** The bare page of this stack, against which the first load is held: a shell, a heading, a button. */
export default defineNuxtConfig({
  modules: ['@nuxt/ui', '@pinia/nuxt'],
  ssr: false,
  devtools: { enabled: false },
  telemetry: false,
  css: ['~/main.css'],
  ui: { fonts: false },
  experimental: { appManifest: false },
  compatibilityDate: '2026-11-01',
  icon: { provider: 'none', fallbackToApi: false },
})
