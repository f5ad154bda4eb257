import fc from 'fast-check'
import { expect, test } from 'vitest'
import { inside, type Ring } from '../../ground/plane'
import { heading } from './heading'
import { fieldOf, lineSpans, stripSpans, type Span } from './strips'

/** As (along, right): 20 along, 12 to the right, with a notch from the left up to the middle. */
const NOTCHED: Ring = [
  [0, 0],
  [8, 0],
  [10, 6],
  [12, 0],
  [20, 0],
  [20, 12],
  [0, 12],
]

test.each<[number, readonly Span[]]>([
  // The notch is 2 x (6 - right) / 3 wide about 10.
  [
    3,
    [
      [0, 9],
      [11, 20],
    ],
  ],
  [7, [[0, 20]]],
  [13, []],
])('a line %d to the right runs over the ground where it is', (right, spans) => {
  expect(lineSpans(fieldOf([NOTCHED]), right)).toEqual(spans)
})

test('a strip reaches as far as anything in it does: past a notch that ends within it it is one', () => {
  const field = fieldOf([NOTCHED])
  expect(stripSpans(field, 0, 3)).toEqual([
    [0, 9],
    [11, 20],
  ])
  expect(stripSpans(field, 4, 8)).toEqual([[0, 20]])
})

test('rings with holes: what is between them counts; corners on the edge of a strip are no ground', () => {
  const square: Ring = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ]
  const hole: Ring = [
    [4, 4],
    [4, 6],
    [6, 6],
    [6, 4],
  ]
  const field = fieldOf([square, hole])
  expect(stripSpans(field, 0, 4)).toEqual([[0, 10]])
  expect(stripSpans(field, 4, 6)).toEqual([
    [0, 4],
    [6, 10],
  ])
  expect(stripSpans(field, 3, 6)).toEqual([[0, 10]])
})

const star = fc
  .array(fc.double({ min: 5, max: 20, noNaN: true }), { minLength: 5, maxLength: 14 })
  .map((radii): Ring =>
    radii.map((radius, i) => {
      const angle = (2 * Math.PI * i) / radii.length
      return [radius * Math.cos(angle), radius * Math.sin(angle)]
    }),
  )

test('every place of the ground in a strip lies within its spans, and every line within its strip', () => {
  fc.assert(
    fc.property(star, fc.double({ min: -18, max: 14, noNaN: true }), (ring, from) => {
      const field = fieldOf([ring])
      const spans = stripSpans(field, from, from + 4)
      const within = (at: number) => spans.some(([a, b]) => at >= a - 1e-6 && at <= b + 1e-6)
      for (let right = from + 0.1; right < from + 4; right += 0.7) {
        for (const [a, b] of lineSpans(field, right)) expect([within(a), within(b)]).toEqual([true, true])
        for (let along = -20; along <= 20; along += 1.3)
          if (inside([along, right], ring)) expect(within(along)).toBe(true)
      }
    }),
    { numRuns: 100 },
  )
})

test('a heading and back is the same place; at right angles it is exact', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -360, max: 360, noNaN: true }),
      fc.double({ min: -1e3, max: 1e3, noNaN: true }),
      fc.double({ min: -1e3, max: 1e3, noNaN: true }),
      (direction, x, y) => {
        const way = heading(direction)
        const [u, v] = way.back(...(way.of([x, y]) as [number, number]))
        expect(u).toBeCloseTo(x, 8)
        expect(v).toBeCloseTo(y, 8)
      },
    ),
  )
  // East is 90°: along is x, right of it is south.
  expect(heading(90).of([3, 4])).toEqual([3, -4])
  expect(heading(-90).of([3, 4])).toEqual([-3, 4])
})
