import { v7 as uuid } from 'uuid'
import { useLocalStorage } from '@vueuse/core'
import { foldRun } from '#core/run/foldRun'
import type { FrozenPlan } from '#core/run/runEvent'
import { seenPlan } from '#core/run/seenPlan'
import type { NewRunEvent, Run } from '#shared/schemas/run'
import { changeKeptRun, eventsHere, keptRun, type KeptEvent, type KeptRun } from './keptRuns'

/** An event before it has its place. */
export type EventBody = NewRunEvent extends infer E
  ? E extends NewRunEvent
    ? Omit<E, 'id' | 'deviceId' | 'sequence' | 'counter' | 'at'>
    : never
  : never

/** What a run is of; needed to keep it where the server is out of reach. */
export interface RunOf {
  readonly applicationId: string
  readonly jobId: string
  readonly site: string
}

/**
 * The run of one application as this device knows it: every event is kept here first, and sent when the
 * server can be reached.
 */
export function useRun(of: MaybeRefOrGetter<RunOf>) {
  const crew = useCrewStore()
  const own = useSelfStore()
  const outbox = useOutboxStore()
  /** One device in all its pages; a place in the sequence is taken in one step. */
  const deviceId = useLocalStorage('hectarum-device', uuid())
  const known = shallowRef<Run>()
  const kept = shallowRef<KeptRun>()
  const organizationId = () => crew.organization?.id ?? ''
  const applicationId = () => toValue(of).applicationId

  const events = computed(() => eventsHere(known.value, kept.value))
  const record = computed(() => foldRun(events.value))
  const waiting = computed(() => kept.value?.events.filter(({ state }) => state === 'waiting').length ?? 0)
  const refused = computed(() => kept.value?.events.filter(({ state }) => state === 'refused') ?? [])

  async function readKept() {
    kept.value = await keptRun(organizationId(), applicationId())
  }

  /** What the server has, or had when it was last seen; what is kept here stands in any case. */
  async function load() {
    await readKept()
    try {
      known.value = await ask(questions.run(applicationId()))
    } catch (error) {
      if (!kept.value) throw error
    }
  }

  watch(
    () => outbox.arrived,
    (run) => {
      if (run?.applicationId === applicationId()) known.value = run
    },
  )
  watch(() => outbox.runs, readKept)

  /** Takes the next places in this device's sequence; what is made of them is up to `put`. */
  async function stamp(
    bodies: readonly EventBody[],
    put: (stamped: readonly NewRunEvent[]) => Partial<KeptRun>,
  ): Promise<readonly NewRunEvent[]> {
    const { jobId, site } = toValue(of)
    const mine = known.value?.events.filter((event) => event.deviceId === deviceId.value) ?? []
    const seenCounter = Math.max(0, ...events.value.map(({ counter }) => counter))
    const seenSequence = Math.max(0, ...mine.map(({ sequence }) => sequence))
    const at = crew.now()
    let stamped: readonly NewRunEvent[] = []
    kept.value = await changeKeptRun(organizationId(), applicationId(), (before) => {
      const counter = Math.max(before?.counter ?? 0, seenCounter)
      const sequence = Math.max(before?.sequence ?? 0, seenSequence)
      stamped = bodies.map((body, i) =>
        plain({
          ...body,
          id: uuid(),
          deviceId: deviceId.value,
          at,
          sequence: sequence + 1 + i,
          counter: counter + 1 + i,
        } as NewRunEvent),
      )
      const base: KeptRun = {
        organizationId: organizationId(),
        applicationId: applicationId(),
        jobId,
        site,
        personId: own.person?.id ?? '',
        deviceId: deviceId.value,
        events: [],
        ...before,
        sequence: sequence + bodies.length,
        counter: counter + bodies.length,
      }
      return { ...base, ...put(stamped), events: [...base.events, ...(put(stamped).events ?? [])] }
    })
    return stamped
  }

  /** Writes events down on this device, then tries to send them; what is written is never given up. */
  async function keep(bodies: readonly EventBody[]): Promise<readonly NewRunEvent[]> {
    const stamped = await stamp(bodies, (own) => ({ events: own.map(waitingFor) }))
    void outbox.send()
    return stamped
  }

  /**
   * Writes events down and waits for the server's word, where it can be reached.
   * @returns what was refused and why; undefined where it was taken, or waits for the server
   */
  async function append(bodies: readonly EventBody[]): Promise<string | undefined> {
    const ids = new Set((await keep(bodies)).map(({ id }) => id))
    await outbox.send()
    await readKept()
    return kept.value?.events.find(({ event, state }) => state === 'refused' && ids.has(event.id))?.why
  }

  /**
   * Begins a run: the server freezes the plan. Where it cannot be reached the plan that is worked out here
   * stands until it has been.
   * @param how `afterwards`: it is done already, and what would have stopped it is told
   * @param freezeHere undefined where the plan cannot be worked out here
   */
  async function start(
    freezeHere: () => Promise<FrozenPlan | undefined>,
    how: 'now' | 'afterwards' = 'now',
  ): Promise<void> {
    if (!known.value) await load().catch(() => undefined)
    if (record.value) return
    const plannedNow: EventBody =
      how === 'afterwards' ? { kind: 'planned', payload: { afterwards: true } } : { kind: 'planned' }
    const begin = await stamp([plannedNow, { kind: 'started' }], () => ({}))
    try {
      known.value = await post(begin)
    } catch (error) {
      const code = errorCode(error)
      if (code !== undefined && code !== 'database-down' && code !== 'starting') {
        await giveBack(begin)
        if (code === 'locked' || code === 'taken') await load()
        throw error
      }
      const frozen = await freezeHere()
      if (!frozen) throw error
      // The same events: where the answer alone was lost, the server knows them again.
      const seen = plain(seenPlan(frozen)) as Seen
      const events = begin.map((event) =>
        waitingFor(event.kind === 'planned' ? { ...event, payload: { ...event.payload, seen } } : event),
      )
      await stamp([], () => ({ frozen: plain(frozen), events }))
      void outbox.send()
    }
  }

  /** For what only the server can take: nothing of it is kept here. */
  async function appendOnline(bodies: readonly EventBody[]): Promise<void> {
    if (!known.value) await load()
    const stamped = await stamp(bodies, () => ({}))
    try {
      known.value = await post(stamped)
    } catch (error) {
      await giveBack(stamped)
      throw error
    }
  }

  /** Places that were never taken are free again: a hole in the sequence would look like a lost event. */
  async function giveBack(events: readonly NewRunEvent[]) {
    const last = events.at(-1)
    kept.value = await changeKeptRun(organizationId(), applicationId(), (before) => {
      if (!before) throw new Error('nothing is kept of this run')
      return before.sequence === last?.sequence
        ? { ...before, sequence: before.sequence - events.length }
        : before
    })
  }

  const post = (sent: readonly NewRunEvent[]): Promise<Run> =>
    tell<Run>('POST', `/applications/${applicationId()}/events`, { events: sent, sentAt: crew.now() })

  const run = computed((): Run | undefined =>
    events.value.length > 0 || known.value
      ? {
          applicationId: applicationId(),
          jobId: toValue(of).jobId,
          events: events.value,
          record: record.value ?? null,
        }
      : undefined,
  )
  return { run, record, waiting, refused, load, keep, append, appendOnline, start }
}

type Seen = NonNullable<Extract<NewRunEvent, { kind: 'planned' }>['payload']>['seen']
const waitingFor = (event: NewRunEvent): KeptEvent => ({ event, state: 'waiting' })
/** What is stored on the device holds no proxies and no functions. */
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T
