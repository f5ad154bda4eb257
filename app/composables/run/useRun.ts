import { v7 as uuid } from 'uuid'
import type { RunEvent } from '#core/run/runEvent'
import type { NewRunEvent, Run } from '#shared/schemas/run'

type Body = NewRunEvent extends infer E
  ? E extends NewRunEvent
    ? Omit<E, 'id' | 'deviceId' | 'sequence' | 'counter' | 'at'>
    : never
  : never

/** The run of one application: its events as this device writes them. */
export function useRun(applicationId: MaybeRefOrGetter<string>) {
  const crew = useCrewStore()
  // Every opened page counts its own events: two tabs of one device never take each other's place.
  const deviceId = uuid()
  const run = shallowRef<Run>()

  let unsent: { readonly bodies: readonly Body[]; readonly events: readonly NewRunEvent[] } | undefined

  const load = async () => {
    run.value = await $fetch<Run>(crewUrl(`/applications/${toValue(applicationId)}/events`))
  }

  /** Stamps and sends events; each has its id from here, so that a repeat is stored once. */
  async function append(bodies: readonly Body[]) {
    if (!run.value) await load()
    // What may have arrived although its answer was lost is sent again as it was.
    if (!unsent || JSON.stringify(unsent.bodies) !== JSON.stringify(bodies))
      unsent = {
        bodies,
        events: bodies.map((body, i) => ({ ...body, ...stamp(run.value?.events ?? [], i) })),
      }
    try {
      run.value = await $fetch<Run>(crewUrl(`/applications/${toValue(applicationId)}/events`), {
        method: 'POST',
        body: { events: unsent.events, sentAt: crew.now() },
      })
      unsent = undefined
    } catch (error) {
      // Begun or put on record elsewhere meanwhile: what stands there is shown from now on.
      if (['locked', 'taken'].includes(errorCode(error) ?? '')) {
        unsent = undefined
        await load()
      }
      throw error
    }
  }

  function stamp(known: readonly RunEvent[], ahead: number) {
    const mine = known.filter((event) => event.deviceId === deviceId)
    return {
      id: uuid(),
      deviceId,
      at: crew.now(),
      sequence: Math.max(0, ...mine.map(({ sequence }) => sequence)) + 1 + ahead,
      counter: Math.max(0, ...known.map(({ counter }) => counter)) + 1 + ahead,
    }
  }

  const start = () => append([{ kind: 'planned' }, { kind: 'started' }])
  return { run, load, append, start }
}
