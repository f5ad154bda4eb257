import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { givenServer } from '../../../test/support/vueGlobals'
import { computed, effectScope, ref, shallowRef, type EffectScope } from 'vue'
import { createPinia, setActivePinia } from 'pinia'
import { sameContent } from '#core/sameContent'
import { pathWords } from './differences'
import { mergeChanges } from './mergeChanges'
import { useDraft } from './useDraft'

interface Row {
  readonly version: number
  readonly name: string
  readonly place: string
}
type Send = (body: Row) => Promise<Row>

const said: string[] = []
let kept: Map<string, unknown>
let server: Row
let send: Send
let scope: EffectScope

/** A server as ours: a repeat of what is stored is fine, a stale version is answered with the stored row. */
const accept: Send = async (body) => {
  if (body.version !== server.version && !sameContent({ ...body, version: 0 }, { ...server, version: 0 }))
    throw Object.assign(new Error('changed'), { code: 'changed-elsewhere', current: server })
  server = { ...body, version: server.version + 1 }
  return server
}

beforeEach(() => {
  vi.useFakeTimers()
  setActivePinia(createPinia())
  said.length = 0
  kept = new Map()
  server = { version: 1, name: 'Front', place: 'Quay' }
  send = accept
  scope = effectScope()
  const globals = {
    computed,
    ref,
    shallowRef,
    onScopeDispose: () => {},
    window: new EventTarget(),
    useCrewStore: () => ({ organization: { id: 'crew' } }),
    useNotice: () => ({ say: (words: string) => said.push(words) }),
    draftKey: (crew: string, id: string) => `${crew}:${id}`,
    keptDraft: async (key: string) => kept.get(key),
    keptBase: async (key: string) => kept.get(`${key}:base`),
    keepDraft: async (key: string, draft: unknown) => void kept.set(key, draft),
    keepBase: async (key: string, base: unknown) => void kept.set(`${key}:base`, base),
    keepDraftNow: (key: string, draft: unknown) => void kept.set(key, draft),
    dropDraft: async (key: string) => void kept.delete(key),
    mergeChanges,
    pathWords,
    errorText: (error: Error) => error.message,
    errorCode: (error: { code?: string }) => error.code,
    errorCurrent: (error: { current?: Row }) => error.current,
    ...givenServer,
    $fetch: (_: string, options?: { body: Row }) => (options ? send(options.body) : Promise.resolve(server)),
  }
  for (const [name, value] of Object.entries(globals)) vi.stubGlobal(name, value)
})
afterEach(() => {
  scope.stop()
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

async function opened() {
  const draft = scope.run(() =>
    useDraft<Row, Row>({ id: 'a', url: '/a', what: 'row', draftOf: (row) => ({ ...row }) }),
  )!
  await draft.load()
  return draft
}

test('what is typed is kept at once, sent after a pause, and forgotten here when it is stored', async () => {
  const row = await opened()
  row.change({ name: 'Back' })
  await vi.advanceTimersByTimeAsync(1)
  expect(kept.get('crew:a')).toMatchObject({ name: 'Back', version: 1 })
  await vi.advanceTimersByTimeAsync(600)
  expect(server).toEqual({ version: 2, name: 'Back', place: 'Quay' })
  expect(row.saveState.value.kind).toBe('saved')
  expect(kept.has('crew:a')).toBe(false)
})

test('a server that is away is asked again; what it refuses waits for a change', async () => {
  const row = await opened()
  send = () => Promise.reject(new Error('away'))
  row.change({ name: 'Back' })
  await vi.advanceTimersByTimeAsync(600)
  expect(row.saveState.value).toEqual({ kind: 'kept', why: 'away', until: 'reached' })
  send = accept
  await vi.advanceTimersByTimeAsync(4100)
  expect(server.name).toBe('Back')
  send = () => Promise.reject(Object.assign(new Error('too soon'), { code: 'stopped' }))
  row.change({ name: 'Side' })
  await vi.advanceTimersByTimeAsync(10_000)
  expect(row.saveState.value).toEqual({ kind: 'kept', why: 'too soon', until: 'changed' })
})

test('kept is said only where the store of the device took it; what is typed stays', async () => {
  const row = await opened()
  send = () => Promise.reject(new Error('away'))
  vi.stubGlobal('keepDraft', () => Promise.reject(new Error('quota')))
  row.change({ name: 'Back' })
  await vi.advanceTimersByTimeAsync(600)
  expect(row.saveState.value).toEqual({ kind: 'unkept', why: 'away' })
  expect(row.draft.value).toMatchObject({ name: 'Back' })
})

test('what is typed while it is being sent follows by itself', async () => {
  const row = await opened()
  let answer = () => {}
  send = (body) =>
    new Promise((resolve, reject) => {
      answer = () => accept(body).then(resolve, reject)
    })
  row.change({ name: 'Bac' })
  await vi.advanceTimersByTimeAsync(600)
  row.change({ name: 'Back' })
  send = accept
  answer()
  await vi.advanceTimersByTimeAsync(1200)
  expect(server).toEqual({ version: 3, name: 'Back', place: 'Quay' })
})

test('another tab’s change of another field comes in; of the same field it is asked', async () => {
  const row = await opened()
  server = { ...server, version: 2, place: 'Harbour' }
  row.change({ name: 'Back' })
  await vi.advanceTimersByTimeAsync(1500)
  expect(server).toEqual({ version: 3, name: 'Back', place: 'Harbour' })
  expect(row.draft.value?.place).toBe('Harbour')
  expect(said).toEqual(['This row was changed elsewhere too: both changes are in.'])
  server = { ...server, version: 4, name: 'Theirs' }
  row.change({ name: 'Mine' })
  await vi.advanceTimersByTimeAsync(1500)
  expect(row.saveState.value.kind).toBe('conflict')
  row.keepMine()
  await vi.advanceTimersByTimeAsync(1500)
  expect(server).toMatchObject({ name: 'Mine', place: 'Harbour' })
})

test('a page torn away while it saved finds its words again, without a quarrel', async () => {
  kept.set('crew:a', { version: 1, name: 'Back yard', place: 'Quay' })
  kept.set('crew:a:base', { base: server, sent: { version: 1, name: 'Back', place: 'Quay' } })
  server = { version: 2, name: 'Back', place: 'Quay' }
  const row = await opened()
  await vi.advanceTimersByTimeAsync(1500)
  expect(row.saveState.value.kind).toBe('saved')
  expect(server).toEqual({ version: 3, name: 'Back yard', place: 'Quay' })
})

test('forgotten, nothing of it is sent any more', async () => {
  const row = await opened()
  row.change({ name: 'Back' })
  await row.forget()
  await vi.advanceTimersByTimeAsync(5000)
  expect(server.name).toBe('Front')
  expect(kept.has('crew:a')).toBe(false)
})
