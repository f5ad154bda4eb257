import fc from 'fast-check'
import { expect, test } from 'vitest'
import { moved } from './useDragOrder'

test('what is dragged stands where it was dropped, and the others keep their order', () => {
  expect(moved(['a', 'b', 'c', 'd'], 0, 2)).toEqual(['b', 'c', 'a', 'd'])
  expect(moved(['a', 'b', 'c', 'd'], 3, 0)).toEqual(['d', 'a', 'b', 'c'])
  const list = fc.uniqueArray(fc.integer(), { minLength: 1, maxLength: 12 })
  fc.assert(
    fc.property(list, fc.nat(), fc.nat(), (all, one, other) => {
      const [from, to] = [one % all.length, other % all.length]
      const now = moved(all, from, to)
      expect(now[to]).toBe(all[from])
      expect(now.filter((item) => item !== all[from])).toEqual(all.filter((item) => item !== all[from]))
      expect(moved(now, to, from)).toEqual(all)
    }),
  )
})
