import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { givenServer } from '../../test/support/vueGlobals'
import { computed, reactive, ref, shallowRef } from 'vue'
import type { ErrorCode } from '#shared/errorCodes'
import type { NewRunEvent } from '#shared/schemas/run'
import { errorCode, errorText } from '../composables/shell/errorText'
import { changeKeptRun, keepPhoto, keptRun, type KeptRun } from '../composables/run/keptRuns'
import { useOutboxStore } from './outbox'

type Shelf = Map<string, unknown>
const shelves = vi.hoisted((): Map<string, unknown>[] => [])
/** The device’s stores, empty at the beginning of each test. */
vi.mock('idb-keyval', () => {
  return {
    createStore: (): Shelf => {
      const shelf: Shelf = new Map()
      shelves.push(shelf)
      return shelf
    },
    get: (key: string, shelf: Shelf) => Promise.resolve(shelf.get(key)),
    del: (key: string, shelf: Shelf) => Promise.resolve(shelf.delete(key)),
    entries: (shelf: Shelf) => Promise.resolve([...shelf]),
    update: (key: string, change: (before: unknown) => unknown, shelf: Shelf) =>
      Promise.resolve(shelf.set(key, change(shelf.get(key)))),
  }
})

const CREW = 'crew'
interface Sent {
  readonly path: string
  readonly body: unknown
}
/** What has come to the server, and how it answers next. */
let sent: Sent[] = []
let answer: (one: Sent) => unknown = () => ({})
const person = ref<{ id: string } | undefined>()

const refusal = (code: ErrorCode, message: string) => ({
  data: { error: { code, issues: [{ path: '', message }] } },
})
const kindsOf = ({ body }: Sent) => (body as { events: NewRunEvent[] }).events.map(({ kind }) => kind)

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  for (const shelf of shelves) shelf.clear()
  sent = []
  answer = () => ({})
  person.value = undefined
  const globals = {
    computed,
    ref,
    shallowRef,
    errorCode,
    errorText,
    crewUrl: (path: string) => `/crew${path}`,
    useCrewStore: () => ({ organization: { id: CREW }, now: () => '2026-05-06T12:00:00.000Z' }),
    useSelfStore: () => reactive({ person }),
    ...givenServer,
    $fetch: async (path: string, { body }: { body: unknown }) => {
      const one = { path, body }
      const answered = await answer(one)
      sent.push(one)
      return answered
    },
  }
  for (const [name, value] of Object.entries(globals)) vi.stubGlobal(name, value)
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

let made = 0
/** Writes entries down as a run does, on a run of its own unless one is named. */
async function write(kinds: readonly NewRunEvent['kind'][], { run = `run ${++made}`, by = '' } = {}) {
  await changeKeptRun(CREW, run, (before): KeptRun => ({
    organizationId: CREW,
    applicationId: run,
    jobId: 'job',
    site: 'Elm House',
    personId: by,
    deviceId: 'device',
    ...before,
    sequence: (before?.sequence ?? 0) + kinds.length,
    counter: 0,
    events: [
      ...(before?.events ?? []),
      ...kinds.map((kind) => ({
        event: { kind, id: `event ${++made}` } as NewRunEvent,
        state: 'waiting' as const,
      })),
    ],
  }))
  return run
}
const keptStates = async (run: string) => (await keptRun(CREW, run))?.events.map(({ state }) => state)

test('what waits is sent in the order it was written, and kept no longer once it has arrived', async () => {
  const outbox = useOutboxStore()
  const run = await write(['planned', 'started', 'gate'])
  await outbox.send()
  expect(sent.map(kindsOf)).toEqual([['planned', 'started', 'gate']])
  expect(await keptStates(run)).toEqual([])
  expect([outbox.state, outbox.waiting]).toEqual(['idle', 0])
  await outbox.send()
  expect(sent).toHaveLength(1)
})

test('the place in the sequence of the device outlives what was sent', async () => {
  const outbox = useOutboxStore()
  const run = await write(['planned', 'started'])
  await outbox.send()
  await write(['noted'], { run })
  expect((await keptRun(CREW, run))?.sequence).toBe(3)
})

test('a server that does not answer is asked again, later each time, and gets all of it', async () => {
  const outbox = useOutboxStore()
  let asked = 0
  answer = () => {
    asked += 1
    throw new TypeError('fetch failed')
  }
  const run = await write(['planned', 'started'])
  await outbox.send()
  expect([outbox.state, outbox.waiting, asked]).toEqual(['away', 2, 1])
  await vi.advanceTimersByTimeAsync(2000)
  expect(asked).toBe(2)
  // Twice as long the second time.
  await vi.advanceTimersByTimeAsync(3900)
  expect(asked).toBe(2)
  answer = () => ({})
  await vi.advanceTimersByTimeAsync(200)
  expect(sent.map(kindsOf)).toEqual([['planned', 'started']])
  expect(await keptStates(run)).toEqual([])
})

test('an answer that was lost does no harm: the same events go again', async () => {
  const outbox = useOutboxStore()
  const seen: string[][] = []
  answer = (one) => {
    seen.push((one.body as { events: NewRunEvent[] }).events.map(({ id }) => id))
    if (seen.length === 1) throw new TypeError('the connection broke')
    return {}
  }
  await write(['noted', 'noted'])
  await outbox.send()
  await vi.advanceTimersByTimeAsync(2000)
  expect(seen[1]).toEqual(seen[0])
})

test('what the server refuses stays, with its reason, and holds nothing else up', async () => {
  const outbox = useOutboxStore()
  const bad = await write(['measured'])
  const good = await write(['noted'])
  answer = ({ path }) => {
    if (path.includes(bad)) throw refusal('invalid', 'What was measured out is no product of this run.')
    return {}
  }
  await outbox.send()
  expect(await keptStates(bad)).toEqual(['refused'])
  expect(await keptStates(good)).toEqual([])
  expect((await keptRun(CREW, bad))?.events[0]?.why).toMatch(/no product of this run/)
  expect(outbox.refused.map(({ applicationId }) => applicationId)).toContain(bad)
  // It is not tried again by itself.
  const before = sent.length
  await outbox.send()
  expect(sent).toHaveLength(before)
  await outbox.forget((await keptRun(CREW, bad))!)
  expect(await keptStates(bad)).toEqual([])
})

test('ended elsewhere meanwhile: what was noted still goes in, a second end does not', async () => {
  const outbox = useOutboxStore()
  const run = await write(['noted', 'used', 'photo', 'finished'])
  answer = (one) => {
    if (kindsOf(one).some((kind) => kind === 'used' || kind === 'finished'))
      throw refusal('locked', 'This run is on record already.')
    return {}
  }
  await outbox.send()
  expect(sent.map(kindsOf)).toEqual([['noted', 'photo']])
  expect(await keptStates(run)).toEqual(['refused', 'refused'])
})

test('more than a hundred go in parts, in order', async () => {
  const outbox = useOutboxStore()
  await write(Array.from({ length: 230 }, () => 'noted'))
  await outbox.send()
  expect(sent.map((one) => kindsOf(one).length)).toEqual([100, 100, 30])
})

test('what one person wrote waits for that person', async () => {
  const outbox = useOutboxStore()
  await write(['noted'], { by: 'ann' })
  person.value = { id: 'bob' }
  await outbox.send()
  expect(sent).toEqual([])
  person.value = { id: 'ann' }
  await outbox.send()
  expect(sent).toHaveLength(1)
})

test('whoever is signed out is told so, and nothing is lost', async () => {
  const outbox = useOutboxStore()
  const run = await write(['noted'])
  answer = () => {
    throw refusal('sign-in', 'Sign in first.')
  }
  await outbox.send()
  expect(outbox.state).toBe('signed out')
  expect(await keptStates(run)).toEqual(['waiting'])
})

test('what is written while others are on their way goes with the same asking', async () => {
  const outbox = useOutboxStore()
  const run = await write(['noted'])
  answer = async (one) => {
    if (sent.length === 0 && kindsOf(one).length === 1) {
      await write(['mishap'], { run })
      void outbox.send()
    }
    return {}
  }
  await outbox.send()
  expect(sent.map(kindsOf)).toEqual([['noted'], ['mishap']])
})

test('photos go first; one the server will not have stays and holds nothing up', async () => {
  const outbox = useOutboxStore()
  await keepPhoto({ organizationId: CREW, id: 'fine', blob: new Blob(['a'], { type: 'image/jpeg' }) })
  await keepPhoto({ organizationId: CREW, id: 'broken', blob: new Blob(['b'], { type: 'image/jpeg' }) })
  const run = await write(['photo'])
  answer = ({ path }) => {
    if (path.endsWith('broken')) throw refusal('invalid', 'This is not a picture.')
    return {}
  }
  await outbox.send()
  expect(sent.map(({ path }) => path)).toEqual(['/crew/attachments/fine', `/crew/applications/${run}/events`])
  expect(outbox.photos.map(({ id, why }) => [id, why])).toEqual([['broken', 'This is not a picture.']])
})
