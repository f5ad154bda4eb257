import { useEventListener } from '@vueuse/core'

/** Behind the first page: nothing it shows waits for this. */
const REGISTER_AFTER_MS = 1500
/** The way of what was seen is looked after so often. */
const WARM_EVERY_MS = 15 * 60_000

/**
 * Keeps the application and what it last saw on this device, so that every link opens without a network; and
 * keeps what a day's work needs before there is none.
 */
export default defineNuxtPlugin(() => {
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  const { serviceWorker } = navigator
  const warm = useWarmUp()
  let last = 0
  async function warmNow() {
    if (!serviceWorker.controller || !navigator.onLine || Date.now() - last < WARM_EVERY_MS) return
    last = Date.now()
    await warm()
  }
  setTimeout(() => {
    void serviceWorker
      .register('/sw.js')
      .then(() => warmNow())
      .catch(() => undefined)
  }, REGISTER_AFTER_MS)
  // From the moment the worker stands between page and server, what is fetched is kept.
  useEventListener(serviceWorker, 'controllerchange', () => void warmNow())
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'visible') void warmNow()
  })
})
