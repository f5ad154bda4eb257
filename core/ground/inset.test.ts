import fc from 'fast-check'
import { expect, test } from 'vitest'
import { inset, type Polygon } from './clipping'
import { polygonArea } from './combineOutlines'
import { inside, type Ring } from './plane'

const rectangle = (length: number, width: number): Ring => [
  [0, 0],
  [length, 0],
  [length, width],
  [0, width],
]
const areaOf = (ground: readonly Polygon[], by: number): number => {
  const found = inset(ground, by)
  if (!found.ok) throw new Error(found.error.kind)
  return polygonArea(found.value)
}

test.each([
  ['inwards', 1, 18 * 8],
  ['to nothing', 5, 0],
  ['outwards, corners kept', -1, 22 * 12],
  ['not at all', 0, 200],
])('the edge of 20 x 10 moved %s', (_, by, area) => {
  expect(areaOf([[rectangle(20, 10)]], by)).toBeCloseTo(area, 6)
})

test('a hole grows as the edge comes in, until they meet', () => {
  const hole: Ring = [
    [8, 4],
    [8, 6],
    [12, 6],
    [12, 4],
  ]
  const ground = [[rectangle(20, 10), hole]]
  // 18 x 8 less 6 x 4.
  expect(areaOf(ground, 1)).toBeCloseTo(120, 6)
  // 16 x 6 less 8 x 6: two pieces of 4 x 6.
  expect(areaOf(ground, 2)).toBeCloseTo(48, 6)
  expect(areaOf(ground, 4)).toBe(0)
})

test('the further in, the less is left, all of it on the ground it came from', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 6, max: 20, noNaN: true }), { minLength: 5, maxLength: 12 }),
      fc.double({ min: 0.1, max: 4, noNaN: true }),
      (radii, by) => {
        const ring: Ring = radii.map((radius, i) => {
          const angle = (2 * Math.PI * i) / radii.length
          return [radius * Math.cos(angle), radius * Math.sin(angle)]
        })
        const found = inset([[ring]], by)
        if (!found.ok) throw new Error(found.error.kind)
        for (const [outline = []] of found.value)
          for (const corner of outline) expect(inside(corner, ring)).toBe(true)
        expect(areaOf([[ring]], by)).toBeGreaterThanOrEqual(areaOf([[ring]], by + 0.5) - 1e-6)
      },
    ),
    { numRuns: 100 },
  )
})

test('ground that lies out of the world is refused', () => {
  expect(
    inset(
      [
        [
          [
            [0, 0],
            [2e6, 0],
            [0, 1],
          ],
        ],
      ],
      1,
    ).ok,
  ).toBe(false)
  expect(inset([[rectangle(20, 10)]], Number.NaN).ok).toBe(false)
})
