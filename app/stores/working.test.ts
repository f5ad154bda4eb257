import { createPinia, setActivePinia } from 'pinia'
import { effectScope, onScopeDispose, ref } from 'vue'
import { beforeEach, expect, test } from 'vitest'
import type { Figure } from '#core/working/figures'
import { withVue } from '../../test/support/vueGlobals'
import { useWorkingPages } from '../composables/shell/useWorkingPages'
import { useWorkingStore } from './working'

beforeEach(() => {
  setActivePinia(createPinia())
  withVue({ useWorkingStore, onScopeDispose })
})

test('a step stands before its sheet, whatever the sheet learns meanwhile, and gives way to it again', () => {
  const working = useWorkingStore()
  const names = ref(new Map<Figure, string>())
  const sheet = effectScope()
  sheet.run(() => useWorkingPages(() => [{ figure: 'mix', lines: ['sheet'] }], names))
  const step = effectScope()
  step.run(() =>
    useWorkingPages(
      () => [{ figure: 'run.tank', lines: ['step'] }],
      ref(new Map([['run.tank', 'In the tank']])),
    ),
  )
  names.value = new Map([['mix', 'Spray']])
  working.show('run.tank')
  expect(working.inHand?.pages()[0]?.lines).toEqual(['step'])
  expect(working.inHand?.nameOf('run.tank')).toBe('In the tank')
  step.stop()
  expect(working.open).toBe(false)
  expect(working.inHand?.pages()[0]?.lines).toEqual(['sheet'])
  expect(working.inHand?.nameOf('mix')).toBe('Spray')
  working.show()
  sheet.stop()
  expect([working.open, working.inHand]).toEqual([false, undefined])
})
