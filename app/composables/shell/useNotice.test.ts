import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { withVue } from '../../../test/support/vueGlobals'

beforeEach(() => {
  vi.useFakeTimers()
  withVue()
})
afterEach(() => vi.useRealTimers())
const notices = async () => (await import('./useNotice')).useNotice()

test('a notice goes by itself; what can be undone stays longer; a warning until it is answered', async () => {
  const { shown, say } = await notices()
  say('Saved.')
  vi.advanceTimersByTime(5999)
  expect(shown.value?.words).toBe('Saved.')
  vi.advanceTimersByTime(1)
  expect(shown.value).toBeUndefined()
  say('Moved.', undefined, { label: 'Undo', act: () => undefined })
  vi.advanceTimersByTime(19_999)
  expect(shown.value?.words).toBe('Moved.')
  vi.advanceTimersByTime(1)
  expect(shown.value).toBeUndefined()
  say('This device is full.', 'Free some room.', undefined, 'stays')
  vi.advanceTimersByTime(3_600_000)
  expect(shown.value?.more).toBe('Free some room.')
})

test('the newest notice has its own time, and its action is done once', async () => {
  const { shown, say, act } = await notices()
  let undone = 0
  say('One.')
  vi.advanceTimersByTime(5000)
  say('Two.', undefined, { label: 'Undo', act: () => (undone += 1) })
  vi.advanceTimersByTime(5000)
  expect(shown.value?.words).toBe('Two.')
  act()
  act()
  expect([undone, shown.value]).toEqual([1, undefined])
})
