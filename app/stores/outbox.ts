import { defineStore } from 'pinia'
import type { NewRunEvent, Run } from '#shared/schemas/run'
import {
  allKeptPhotos,
  allKeptRuns,
  changeKeptRun,
  dropPhoto,
  keepPhoto,
  type KeptPhoto,
  type KeptRun,
} from '~/composables/run/keptRuns'
import { isAway, useSenderStore } from './sender'

/** No more than these go in one request. */
const MOST_EVENTS = 100
/** What cannot be added once a run is on record. */
const BEGINS_OR_ENDS: readonly NewRunEvent['kind'][] = ['planned', 'started', 'used', 'finished']

/**
 * What this device wrote down and the server does not have yet: sent in order, each once however often it is
 * tried, for the person who wrote it and no other.
 */
export const useOutboxStore = defineStore('outbox', () => {
  const crew = useCrewStore()
  const own = useSelfStore()
  const sender = useSenderStore()
  const runs = shallowRef<readonly KeptRun[]>([])
  const photos = shallowRef<readonly KeptPhoto[]>([])
  const state = ref<'idle' | 'sending' | 'away' | 'signed out'>('idle')
  const personId = computed(() => own.person?.id ?? '')
  const mine = computed(() =>
    runs.value.filter(
      ({ organizationId, personId: who }) =>
        organizationId === crew.organization?.id && (who === '' || who === personId.value),
    ),
  )
  const waiting = computed(
    () =>
      mine.value.reduce(
        (sum, { events }) => sum + events.filter((one) => one.state === 'waiting').length,
        0,
      ) +
      photos.value.filter(
        ({ organizationId, why }) => organizationId === crew.organization?.id && why === undefined,
      ).length,
  )
  const refused = computed(() =>
    mine.value.filter(({ events }) => events.some((one) => one.state === 'refused')),
  )
  /** The answers of the server, for whoever has the run open. */
  const arrived = shallowRef<Run>()

  let busy: Promise<void> | undefined
  /** Something was written while others were on their way. */
  let again = false

  async function read() {
    ;[runs.value, photos.value] = await Promise.all([allKeptRuns(), allKeptPhotos()])
  }

  /** Sends what waits; whoever waits for it has waited for what was written until then. */
  function send(): Promise<void> {
    again = true
    busy ??= sendUntilDone().finally(() => {
      busy = undefined
    })
    return busy
  }

  async function sendUntilDone() {
    while (again) {
      again = false
      await sendAll()
    }
  }

  async function sendAll() {
    await read()
    if (!crew.organization || waiting.value === 0) {
      if (waiting.value === 0) state.value = 'idle'
      return
    }
    state.value = 'sending'
    try {
      for (const photo of photos.value) await sendPhoto(photo)
      for (const kept of mine.value) await sendRun(kept)
      sender.settled('runs')
      await read()
      state.value = 'idle'
    } catch (error) {
      await read()
      state.value = errorCode(error) === 'sign-in' ? 'signed out' : 'away'
      sender.later('runs', send)
    }
  }

  async function sendPhoto(photo: KeptPhoto) {
    const { organizationId, id, blob, why } = photo
    if (organizationId !== crew.organization?.id || why !== undefined) return
    try {
      await tell('PUT', `/attachments/${id}`, blob, { 'content-type': blob.type })
      await dropPhoto(id)
    } catch (error) {
      if (isAway(error)) throw error
      // A picture the server will not have stays here and holds nothing up.
      await keepPhoto({ ...photo, why: errorText(error) })
    }
  }

  async function sendRun(kept: KeptRun) {
    let rest = kept.events.filter((one) => one.state === 'waiting').map(({ event }) => event)
    while (rest.length > 0) {
      const batch = rest.slice(0, MOST_EVENTS)
      try {
        await post(kept, batch)
        await settle(kept, batch, undefined)
        rest = rest.slice(MOST_EVENTS)
      } catch (error) {
        if (isAway(error)) throw error
        const why = errorText(error)
        const not =
          errorCode(error) === 'locked' ? batch.filter(({ kind }) => BEGINS_OR_ENDS.includes(kind)) : []
        // Ended elsewhere meanwhile: what was noted on the way is still added to it.
        const gone = not.length > 0 ? not : batch
        await settle(kept, gone, why)
        rest = rest.filter((event) => !gone.includes(event))
      }
    }
  }

  async function post({ applicationId }: KeptRun, events: readonly NewRunEvent[]) {
    arrived.value = await tell<Run>('POST', `/applications/${applicationId}/events`, {
      events,
      sentAt: crew.now(),
    })
  }

  /** What has arrived is kept no longer; what was refused stays, with the reason. */
  async function settle(
    { organizationId, applicationId }: KeptRun,
    events: readonly NewRunEvent[],
    why: string | undefined,
  ) {
    const ids = new Set(events.map(({ id }) => id))
    // The entry itself stays, for this device's place in the sequence.
    await changeKeptRun(organizationId, applicationId, (now) => {
      if (!now) throw new Error('what was sent is not kept any more')
      const { frozen: _plan, ...rest } = now
      return {
        ...rest,
        events: now.events.flatMap((one) =>
          !ids.has(one.event.id)
            ? [one]
            : why === undefined
              ? []
              : [{ ...one, state: 'refused' as const, why }],
        ),
      }
    })
    await read()
  }

  /** Forgets what the server would not have, once somebody has seen why. */
  async function forget({ organizationId, applicationId }: KeptRun) {
    await changeKeptRun(organizationId, applicationId, (now) => {
      if (!now) throw new Error('nothing is kept of this run')
      return { ...now, events: now.events.filter((one) => one.state === 'waiting') }
    })
    await read()
  }

  return { runs, photos, mine, waiting, refused, state, arrived, read, send, forget }
})
