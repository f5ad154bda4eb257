import { expect, test } from 'vitest'
import { restedSizes } from './restedSizes'

test('a size typed through on the way to another is none of the area’s; one that rested is', () => {
  const sizes = [
    { at: '2026-05-06T08:20:00Z', size: 3 },
    { at: '2026-05-06T08:10:00Z', size: 2 },
    { at: '2026-05-06T08:00:01Z', size: 1 },
    { at: '2026-05-06T08:00:00Z', size: 0 },
  ]
  // 2 stood for ten minutes to the second; 1 for one second less, and 0 for one.
  expect(restedSizes(sizes).map(({ size }) => size)).toEqual([3, 2])
  expect(restedSizes([])).toEqual([])
})
