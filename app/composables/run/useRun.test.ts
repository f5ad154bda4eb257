import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { givenServer } from '../../../test/support/vueGlobals'
import { computed, ref, shallowRef, toValue, watch } from 'vue'
import type { ErrorCode } from '#shared/errorCodes'
import type { NewRunEvent, Run } from '#shared/schemas/run'
import { planApplication } from '#core/plan/planApplication'
import type { FrozenPlan } from '#core/run/runEvent'
import { errorCode } from '../shell/errorText'
import { keptRun } from './keptRuns'
import { useRun } from './useRun'

const shelves = vi.hoisted((): Map<string, unknown>[] => [])
const device = vi.hoisted(() => ({ value: 'device a' }))
vi.mock('idb-keyval', () => ({
  createStore: () => {
    const shelf = new Map<string, unknown>()
    shelves.push(shelf)
    return shelf
  },
  get: (key: string, shelf: Map<string, unknown>) => Promise.resolve(shelf.get(key)),
  entries: (shelf: Map<string, unknown>) => Promise.resolve([...shelf]),
  update: (key: string, change: (before: unknown) => unknown, shelf: Map<string, unknown>) =>
    Promise.resolve(shelf.set(key, change(shelf.get(key)))),
}))
vi.mock('@vueuse/core', () => ({ useLocalStorage: () => device }))

const plan = planApplication({
  areas: [{ id: 'a', size: { value: 4000, unit: 'ft2' } }],
  products: [{ id: 'p', rate: { value: 3, unit: 'lb/1000 ft2' } }],
  method: { kind: 'spread', passes: 2 },
})
if (!plan.ok) throw new Error('the test plan does not plan')
const frozen = { coreVersion: '', site: '', labels: [], plan: plan.value } as unknown as FrozenPlan

/** The server: what it has stored, and how it answers a post. */
let stored: NewRunEvent[] = []
let answer: () => void = () => undefined
const refusal = (code: ErrorCode) => ({ data: { error: { code, issues: [{ path: '', message: code }] } } })
const run = (): Run => ({ applicationId: 'run', jobId: 'job', events: stored as Run['events'], record: null })
const outbox = { arrived: ref<Run>(), runs: shallowRef([]), send: () => Promise.resolve() }

beforeEach(() => {
  for (const shelf of shelves) shelf.clear()
  stored = []
  answer = () => undefined
  device.value = 'device a'
  const globals = {
    computed,
    ref,
    shallowRef,
    toValue,
    watch,
    errorCode,
    crewUrl: (path: string) => path,
    useCrewStore: () => ({ organization: { id: 'crew' }, now: () => '2026-05-06T12:00:00.000Z' }),
    useSelfStore: () => ({ person: undefined }),
    useOutboxStore: () => outbox,
    ...givenServer,
    $fetch: (_: string, { body }: { body?: { events: NewRunEvent[] } } = {}) => {
      answer()
      if (body) stored = [...stored, ...body.events]
      return Promise.resolve(run())
    },
  }
  for (const [name, value] of Object.entries(globals)) vi.stubGlobal(name, value)
})
afterEach(() => vi.unstubAllGlobals())

const open = () => useRun({ applicationId: 'run', jobId: 'job', site: 'Elm House' })
const note = (words: string) => ({ kind: 'noted' as const, payload: { words } })
const placesOf = (events: readonly { sequence: number; counter: number }[]) =>
  events.map(({ sequence, counter }) => [sequence, counter])
const away = () => {
  throw new TypeError('fetch failed')
}

test('every entry is on the device before anybody is asked, each with the next place', async () => {
  answer = away
  const page = open()
  const first = await page.keep([note('gate stiff'), note('wind up')])
  const second = await page.keep([note('done')])
  expect(placesOf([...first, ...second])).toEqual([
    [1, 1],
    [2, 2],
    [3, 3],
  ])
  expect((await keptRun('crew', 'run'))?.events.map(({ state }) => state)).toEqual([
    'waiting',
    'waiting',
    'waiting',
  ])
  expect(page.waiting.value).toBe(3)
})

test('two pages of one device never take one place', async () => {
  const [one, other] = [open(), open()]
  const stamped = await Promise.all([one.keep([note('a')]), other.keep([note('b')]), one.keep([note('c')])])
  expect(
    stamped
      .flat()
      .map(({ sequence }) => sequence)
      .toSorted(),
  ).toEqual([1, 2, 3])
})

test('the counter goes on behind what others wrote, the sequence behind what this device did', async () => {
  stored = [
    {
      ...note('theirs'),
      id: 'e1',
      deviceId: 'device b',
      sequence: 7,
      counter: 40,
      at: '2026-05-06T11:00:00.000Z',
    },
    {
      ...note('mine'),
      id: 'e2',
      deviceId: 'device a',
      sequence: 2,
      counter: 12,
      at: '2026-05-06T11:00:00.000Z',
    },
  ]
  const page = open()
  await page.load()
  expect(placesOf(await page.keep([note('now')]))).toEqual([[3, 41]])
})

test('begun without a server it goes by the plan that was frozen here, under the same ids', async () => {
  answer = away
  const page = open()
  await page.start(async () => frozen)
  expect(page.record.value).toMatchObject({ state: 'running' })
  const kept = await keptRun('crew', 'run')
  expect(kept?.events.map(({ event }) => event.kind)).toEqual(['planned', 'started'])
  expect(kept?.events[0]?.event).toMatchObject({ payload: { seen: { loads: 0 } } })
})

test('entered afterwards it says so, with a server and without', async () => {
  const page = open()
  await page.start(async () => frozen, 'afterwards')
  expect(stored[0]).toMatchObject({ kind: 'planned', payload: { afterwards: true } })
  for (const shelf of shelves) shelf.clear()
  stored = []
  answer = away
  await open().start(async () => frozen, 'afterwards')
  expect((await keptRun('crew', 'run'))?.events[0]?.event).toMatchObject({
    payload: { afterwards: true, seen: { loads: 0 } },
  })
})

test('a beginning the server refuses leaves no hole in the sequence', async () => {
  answer = () => {
    throw refusal('not-ready')
  }
  const page = open()
  await expect(page.start(async () => frozen)).rejects.toBeTruthy()
  answer = () => undefined
  await page.start(async () => frozen)
  expect(stored.map(({ sequence }) => sequence)).toEqual([1, 2])
})

test('nothing is begun where neither server nor this device can make a plan', async () => {
  answer = away
  const page = open()
  await expect(page.start(async () => undefined)).rejects.toThrow('fetch failed')
  expect((await keptRun('crew', 'run'))?.events).toEqual([])
})

test('what only the server can take is not kept here when it is refused', async () => {
  const page = open()
  await page.load()
  answer = () => {
    throw refusal('not-allowed')
  }
  await expect(page.appendOnline([{ kind: 'countersigned' }])).rejects.toBeTruthy()
  answer = () => undefined
  expect(placesOf(await page.keep([note('next')]))).toEqual([[1, 2]])
  expect((await keptRun('crew', 'run'))?.events).toHaveLength(1)
})

test('a second start changes nothing', async () => {
  answer = away
  const page = open()
  await page.start(async () => frozen)
  await page.start(async () => frozen)
  expect((await keptRun('crew', 'run'))?.events).toHaveLength(2)
})
