import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import type { StepChange } from './programShape'
import { noChange, withChanges } from './stepChanges'

const blank = (stepId: string, occurrence = 0): StepChange =>
  noChange({ stepId, occurrence, nitrogen: typed('1', 'lb/1000 ft2') })

test('a later change keeps what was changed of its step before, but for what it is about', () => {
  const product = { ...blank('a'), productId: 'p' }
  const dose = { ...blank('a'), nitrogen: typed('0.5', 'lb/1000 ft2') }
  const series = { ...blank('a'), times: '4', every: '14' }
  expect(withChanges(withChanges(withChanges([], [product]), [dose]), [series])).toEqual([
    {
      ...blank('a'),
      productId: 'p',
      nitrogen: typed('0.5', 'lb/1000 ft2'),
      times: '4',
      every: '14',
    },
  ])
})
test('leaving out and bringing back; another repeat and another step are left alone', () => {
  const others = [
    { ...blank('a', 1), productId: 'q' },
    { ...blank('b'), doneOn: '2026-05-01' },
  ]
  const left = withChanges(others, [{ ...blank('a'), leaveOut: true }])
  expect(left.slice(0, 2)).toEqual(others)
  expect(left[2]?.leaveOut).toBe(true)
  expect(withChanges(left, [blank('a')])[2]?.leaveOut).toBe(false)
})
