import { useEventListener, useIntervalFn } from '@vueuse/core'

const LOOK_EVERY_MS = 5 * 60_000

/**
 * A page that stays open while the server is upgraded says so and offers to be opened anew; what is typed is
 * kept on the device by then.
 */
export default defineNuxtPlugin((nuxtApp) => {
  const { version } = useRuntimeConfig().public
  const notice = useNotice()
  let told = ''

  function tell(words: string) {
    if (told === words) return
    told = words
    notice.say(words, 'What you typed is kept.', { label: 'Open it anew', act: openAnew }, 'stays')
  }
  async function look() {
    const health = await ask(questions.health()).catch(() => undefined)
    if (health?.version && health.version !== version) tell(`This tool was upgraded to ${health.version}.`)
  }
  useIntervalFn(look, LOOK_EVERY_MS)
  useEventListener(document, 'visibilitychange', () => {
    if (document.visibilityState === 'visible') void look()
  })
  nuxtApp.hook('app:chunkError', () => tell('This tool was upgraded: this part of the open page is gone.'))
})

/** Opens the page with the parts of the new version, which the device has fetched beside the old ones. */
async function openAnew(): Promise<void> {
  const worker = 'serviceWorker' in navigator ? navigator.serviceWorker : undefined
  const registration = await worker?.getRegistration()
  await registration?.update().catch(() => undefined)
  const fresh = registration?.waiting ?? registration?.installing
  if (!worker || !fresh) return location.reload()
  worker.addEventListener('controllerchange', () => location.reload(), { once: true })
  const takeOver = () => fresh.postMessage({ type: 'SKIP_WAITING' })
  if (fresh.state === 'installed') takeOver()
  else
    fresh.addEventListener('statechange', () => {
      if (fresh.state === 'installed') takeOver()
    })
}
