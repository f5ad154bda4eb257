import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { MapShape } from './siteLayout'
import { arranged, placesNow } from './siteLayout'
import type { Point, Ring } from './plane'
import { wayToTouch } from './touch'

const square = (x: number, y: number, side: number): Ring => [
  [x, y],
  [x + side, y],
  [x + side, y + side],
  [x, y + side],
]

test.each<[string, Ring, Ring, number, Point | undefined]>([
  ['beside it, 0.4 too far: corner on corner', square(10.4, 0, 10), square(0, 0, 10), 1, [-0.4, 0]],
  ['0.3 too far and 3 along: corner on side', square(10.3, 3, 4), square(0, 0, 10), 1, [-0.3, 0]],
  ['a small one inside the side of a large', square(3, 10.5, 2), square(0, 0, 10), 1, [0, -0.5]],
  ['just within reach', square(11, 0, 10), square(0, 0, 10), 1, [-1, 0]],
  ['beyond reach', square(11.1, 0, 10), square(0, 0, 10), 1, undefined],
])('%s', (_, moved, standing, reach, expected) => {
  const way = wayToTouch([moved], [standing], reach)
  expect(way?.map((one) => Math.round(one * 1e6) / 1e6 || 0)).toEqual(expected)
})

test('what was brought to touch touches, by a way no longer than the reach', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 10, max: 10.9, noNaN: true }),
      fc.double({ min: -5, max: 9, noNaN: true }),
      (x, y) => {
        const way = wayToTouch([square(x, y, 6)], [square(0, 0, 10)], 1)
        if (!way) throw new Error('it is within reach')
        expect(Math.hypot(...way)).toBeLessThanOrEqual(1)
        // Beside it: its left side lies on the right side of what stands, and they share some of it.
        expect(x + way[0]).toBeCloseTo(10, 9)
        expect(y + way[1]).toBeGreaterThan(-6 - 1e-9)
        expect(y + way[1]).toBeLessThan(10 + 1e-9)
      },
    ),
    { numRuns: 2000 },
  )
})

test('everything drawn is kept where it stands; one turned by a quarter comes back by three more', () => {
  const shape = (lawnId: string, partId: string, x: number): MapShape => ({
    lawnId,
    partId,
    sign: 'add',
    rings: [square(x, 0, 10)],
    place: { x, y: 0, turn: 0 },
  })
  const shapes = [shape('a', 'one', 0), shape('b', 'two', 20)]
  expect(placesNow(shapes).get('b')?.get('two')).toEqual({ x: 20, y: 0, turn: 0 })
  const quarter = arranged([shapes[0]!], { dx: 0, dy: 0, turn: 90 }).get('one')!
  expect(quarter).toEqual({ x: 0, y: 10, turn: 90 })
  const round = arranged([{ ...shapes[0]!, place: quarter }], { dx: 0, dy: 0, turn: 270 }).get('one')
  expect(round?.turn).toBe(0)
  expect(Math.hypot(round?.x ?? 9, round?.y ?? 9)).toBe(0)
})
