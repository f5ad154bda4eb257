/** When the services were last asked by this page; the server asks each at most once an hour. */
let askedAt = 0
const EVERY_MS = 600_000

/** Has the services of the crew's stations asked, quietly: without them the page stands by what is there. */
export async function refreshWeather(): Promise<void> {
  const now = Date.now()
  if (now - askedAt < EVERY_MS || !useSelfStore().may('work')) return
  askedAt = now
  await $fetch<unknown>(crewUrl('/weather/refresh'), { method: 'POST', body: {} }).catch(() => undefined)
}
