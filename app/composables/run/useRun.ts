import { v7 as uuid } from 'uuid'
import { useLocalStorage } from '@vueuse/core'
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
  const deviceId = useLocalStorage('hectarum-device', uuid())
  const run = shallowRef<Run>()

  const load = async () => {
    run.value = await $fetch<Run>(crewUrl(`/applications/${toValue(applicationId)}/events`))
  }

  /** Stamps and sends events; each has its id from here, so that a repeat is stored once. */
  async function append(bodies: readonly Body[]) {
    if (!run.value) await load()
    const events = bodies.map((body, i) => ({ ...body, ...stamp(run.value?.events ?? [], i) }))
    run.value = await $fetch<Run>(crewUrl(`/applications/${toValue(applicationId)}/events`), {
      method: 'POST',
      body: { events },
    })
  }

  function stamp(known: readonly RunEvent[], ahead: number) {
    const mine = known.filter((event) => event.deviceId === deviceId.value)
    return {
      id: uuid(),
      deviceId: deviceId.value,
      at: crew.now(),
      sequence: Math.max(0, ...mine.map(({ sequence }) => sequence)) + 1 + ahead,
      counter: Math.max(0, ...known.map(({ counter }) => counter)) + 1 + ahead,
    }
  }

  const start = () => append([{ kind: 'planned' }, { kind: 'started' }])
  return { run, load, append, start }
}
