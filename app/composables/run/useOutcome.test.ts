import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { computed, reactive } from 'vue'
import { planApplication } from '#core/plan/planApplication'
import type { PlanRequest } from '#core/plan/planRequest'
import type { RunRecord } from '#core/run/foldRun'
import { NO_PROGRESS } from '#core/run/progress'
import { useOutcome } from './useOutcome'

beforeEach(() => {
  const globals = { computed, reactive, useCrewStore: () => ({ units: 'us-1000' }) }
  for (const [name, value] of Object.entries(globals)) vi.stubGlobal(name, value)
})
afterEach(() => vi.unstubAllGlobals())

function recordOf(request: PlanRequest): RunRecord {
  const plan = planApplication(request)
  if (!plan.ok) throw new Error('the test plan does not plan')
  return {
    frozen: { request, plan: plan.value, labels: [{ productId: 'p', name: 'Granule', registration: '' }] },
    progress: NO_PROGRESS,
  } as unknown as RunRecord
}
// 3.4 lb on 1,000 ft2 of 2,604.4 ft2 is 8.85496 lb, shown as 8.85; the lawn as 2,600.
const dry = recordOf({
  areas: [{ id: 'a', size: { value: 2604.4, unit: 'ft2' } }],
  products: [{ id: 'p', rate: { value: 3.4, unit: 'lb/1000 ft2' } }],
  method: { kind: 'spread', passes: 2 },
})

test('what stands there rounded counts to the last digit until somebody types', () => {
  const { entries, read } = useOutcome(dry)
  expect([entries.treated.text, entries.putIn[0]?.entered.text]).toEqual(['2600', '8.85'])
  entries.left = { ...entries.left, text: '0' }
  expect(read.value.used?.treated.value).toBeCloseTo(2604.4, 9)
  expect(read.value.outcomes[0]?.deviation).toBeCloseTo(0, 9)
  // Typed, it is what it says: 8.85 - 0 on 2,604.4 is 0.056 % under, on 2,500 4.1 % over.
  entries.treated = { ...entries.treated, text: '2500' }
  expect(read.value.used?.treated).toEqual({ value: 2500, unit: 'ft2' })
  expect(read.value.outcomes[0]?.deviation).toBeCloseTo(8.85496 / 2.5 / 3.4 - 1, 9)
})

test('what was left is asked, never taken for granted', () => {
  const { read } = useOutcome(dry)
  expect(read.value.outcomes).toEqual([])
  expect(read.value.problems).toHaveProperty('left')
})
