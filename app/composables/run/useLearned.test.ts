import { beforeEach, expect, test } from 'vitest'
import { shallowRef } from 'vue'
import { lawn, part, product, spreading } from '../../../test/support/documents'
import { withVue } from '../../../test/support/vueGlobals'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import { planApplication } from '#core/plan/planApplication'
import { quantity } from '#core/quantity/quantity'
import type { Used } from '#core/run/outcome'
import type { FrozenPlan } from '#core/run/runEvent'
import { NO_PROGRESS } from '#core/run/progress'
import { useLearned } from './useLearned'

beforeEach(() => withVue({ useCrewStore: () => ({ today: () => '2026-05-06' }) }))

const planned = planApplication({
  areas: [{ id: 'a', size: quantity(1000, 'ft2') }],
  products: [{ id: 'p', rate: quantity(3, 'lb/1000 ft2') }],
  method: { kind: 'spread', passes: 2 },
})
const frozen = {
  request: { method: { kind: 'spread', passes: 2 } },
  plan: planned.ok && planned.value,
} as FrozenPlan
const job = { frozen, progress: NO_PROGRESS }
const used: Used = {
  treated: quantity(1000, 'ft2'),
  putIn: [{ productId: 'p', amount: quantity(6, 'lb') }],
  left: quantity(3, 'lb'),
}
const draft = (speed: string, equipment = 'Push'): ApplicationDraft => {
  const document = spreading(
    [lawn('Front', [part('add', 'rectangle', { length: '50', width: '20' })])],
    [{ ...product('Feed', 'spread', {}), id: 'p' }],
    { equipment, dial: '12', swath: { text: '10', unit: 'ft' } } as never,
  )
  const { calibration } = document.spread
  return {
    ...document,
    spread: {
      ...document.spread,
      source: { id: 'machine', version: 1 },
      calibration: {
        ...calibration,
        setting: '12',
        width: { text: '10', unit: 'ft' },
        speed: { text: speed, unit: 'mph' },
      },
    },
  }
}

test('nothing is learned before it is known what was used, or of what', () => {
  const entered = shallowRef<Used>()
  const { learned, takes } = useLearned(
    () => job,
    () => entered.value,
    () => [],
    () => draft('3'),
  )
  expect([learned.value, takes.value]).toEqual([undefined, false])
  entered.value = used
  expect(learned.value?.parts[0]?.equipmentId).toBe('machine')
})

test('with its pace it is kept by itself, without one only where somebody says so', () => {
  const known = useLearned(
    () => job,
    () => used,
    () => [],
    () => draft('3'),
  )
  expect([known.takes.value, known.words.value]).toEqual([true, 'Keep it as a calibration of Push'])
  known.takes.value = false
  expect(known.takes.value).toBe(false)
  const unknown = useLearned(
    () => job,
    () => used,
    () => [],
    () => draft(''),
  )
  expect(unknown.takes.value).toBe(false)
  expect(unknown.words.value).toMatch(/The pace is not known\.$/)
  unknown.takes.value = true
  expect(unknown.takes.value).toBe(true)
})

test('a machine without a name, and a job whose draft is not here', () => {
  expect(
    useLearned(
      () => job,
      () => used,
      () => [],
      () => draft('3', ''),
    ).words.value,
  ).toMatch(/of the machine/)
  expect(
    useLearned(
      () => job,
      () => used,
      () => [],
      () => undefined,
    ).takes.value,
  ).toBe(false)
})
