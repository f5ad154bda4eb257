/** When the services of a crew were last asked by this page; the server asks each at most once an hour. */
const askedAt = new Map<string, number>()
const EVERY_MS = 600_000

/** Has the services of the crew's stations asked, quietly: without them the page stands by what is there. */
export async function refreshWeather(): Promise<void> {
  const crew = useCrewStore().organization?.id ?? ''
  const now = Date.now()
  if (now - (askedAt.get(crew) ?? 0) < EVERY_MS || !useSelfStore().may('work')) return
  askedAt.set(crew, now)
  await tell('POST', '/weather/refresh').catch(() => undefined)
}
