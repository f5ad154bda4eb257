import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { onScopeDispose, shallowRef } from 'vue'
import { withVue } from '../../../test/support/vueGlobals'
import { useCoverage } from './useCoverage'

interface Work {
  readonly ask: unknown
  readonly tell: (share: number) => void
  readonly answer: (value: unknown) => void
  readonly fail: (error: Error) => void
}
let works: Work[] = []
let ended = 0

beforeEach(() => {
  vi.useFakeTimers()
  works = []
  ended = 0
  withVue({
    onScopeDispose,
    openLaneWork: () => ({
      remote: {
        coverage: (ask: unknown, _: unknown, tell: Work['tell']) =>
          new Promise((answer, fail) => works.push({ ask, tell, answer, fail })),
      },
      end: () => (ended += 1),
    }),
  })
})
afterEach(() => vi.useRealTimers())
const rested = () => vi.advanceTimersByTimeAsync(300)

test('asked again while it is at work, it answers the newest only', async () => {
  const ask = shallowRef<object | undefined>({ cell: 1 })
  const { told, progress } = useCoverage(
    () => ask.value as never,
    () => 0,
  )
  await rested()
  works[0]!.tell(0.4)
  expect(progress.value).toBe(0.4)
  ask.value = { cell: 2 }
  await rested()
  expect(ended).toBe(1)
  works[0]!.tell(0.9)
  works[0]!.answer({ ok: true, value: 'old' })
  expect(progress.value).toBe(0)
  works[1]!.answer({ ok: true, value: 'new' })
  await vi.advanceTimersByTimeAsync(0)
  expect([told.value, progress.value]).toEqual(['new', undefined])
})

test('given up it says so, and what comes late is left', async () => {
  const { told, problem, progress, giveUp } = useCoverage(
    () => ({}) as never,
    () => 0,
  )
  await rested()
  giveUp()
  works[0]!.answer({ ok: true, value: 'late' })
  await vi.advanceTimersByTimeAsync(0)
  expect([told.value, problem.value, progress.value]).toEqual([undefined, 'given up', undefined])
})

test('what can’t be worked out says why; a worker that dies is told, and it can be asked again', async () => {
  const { problem, start } = useCoverage(
    () => ({}) as never,
    () => 0,
  )
  await rested()
  works[0]!.answer({ ok: false, error: { kind: 'tooSmall' } })
  await vi.advanceTimersByTimeAsync(0)
  expect(problem.value).toBe('tooSmall')
  void start()
  expect(problem.value).toBeUndefined()
  works[1]!.fail(new Error('worker died'))
  await vi.advanceTimersByTimeAsync(0)
  expect(problem.value).toBe('failed')
})

test('nothing to ask opens no worker', async () => {
  useCoverage(
    () => undefined,
    () => 0,
  )
  await rested()
  expect(works).toEqual([])
})
