import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { shallowRef } from 'vue'
import { withVue } from '../../../test/support/vueGlobals'
import { useHistory } from './useHistory'

let now = 0
beforeEach(() => {
  withVue()
  vi.spyOn(performance, 'now').mockImplementation(() => now)
})
afterEach(() => vi.restoreAllMocks())

/** A document, each change of it so many milliseconds after the one before. */
function documentOf(first: string | undefined) {
  const text = shallowRef(first)
  const history = useHistory(
    () => text.value,
    (document) => {
      text.value = document
    },
  )
  const type = (next: string, after: number) => {
    now += after
    text.value = next
  }
  return { text, type, ...history }
}

test('undo goes back a step and redo forth again', () => {
  const { text, type, undo, redo, canUndo, canRedo } = documentOf('a')
  type('b', 1000)
  type('c', 1000)
  undo()
  expect([text.value, canUndo.value, canRedo.value]).toEqual(['b', true, true])
  undo()
  expect([text.value, canUndo.value]).toEqual(['a', false])
  undo()
  expect(text.value).toBe('a')
  redo()
  redo()
  expect([text.value, canRedo.value]).toEqual(['c', false])
})

test('keys typed one after the other are one step', () => {
  const { text, type, undo } = documentOf('')
  type('f', 1000)
  type('fe', 100)
  type('feed', 100)
  type('feed 2', 1000)
  undo()
  expect(text.value).toBe('feed')
  undo()
  expect(text.value).toBe('')
})

test('a change after an undo ends what could be done again', () => {
  const { text, type, undo, redo, canRedo } = documentOf('a')
  type('b', 1000)
  undo()
  type('c', 10)
  expect(canRedo.value).toBe(false)
  redo()
  expect(text.value).toBe('c')
  undo()
  expect(text.value).toBe('a')
})

test('opening a document is no change of it; a hundred steps are kept', () => {
  const { text, type, undo, canUndo } = documentOf(undefined)
  text.value = '0'
  expect(canUndo.value).toBe(false)
  for (let i = 1; i <= 120; i++) type(String(i), 1000)
  for (let i = 0; i < 200; i++) undo()
  expect(text.value).toBe('20')
})
