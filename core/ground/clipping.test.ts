import fc from 'fast-check'
import other from 'polygon-clipping'
import { expect, test } from 'vitest'
import { subtract, unite, type Polygon } from './clipping'
import { combineOutlines, polygonArea } from './combineOutlines'
import { inside, type Point, type Ring } from './plane'

const blob = fc
  .record({
    x: fc.integer({ min: 0, max: 60 }),
    y: fc.integer({ min: 0, max: 60 }),
    radii: fc.array(fc.integer({ min: 1000, max: 9000 }), { minLength: 3, maxLength: 24 }),
  })
  .map(({ x, y, radii }): Ring =>
    radii.map((r, i): Point => {
      const at = (2 * Math.PI * i) / radii.length
      return [Math.round(x * 1000 + r * Math.cos(at)) / 1000, Math.round(y * 1000 + r * Math.sin(at)) / 1000]
    }),
  )
/** Boxes on a grid share sides and corners with their neighbours as often as not. */
const box = fc
  .tuple(fc.nat(11), fc.nat(11), fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 5 }))
  .map(([x, y, w, h]): Ring => [
    [x * 5, y * 5],
    [x * 5 + w * 5, y * 5],
    [x * 5 + w * 5, y * 5 + h * 5],
    [x * 5, y * 5 + h * 5],
  ])
const rings = fc.array(fc.oneof(blob, box), { minLength: 1, maxLength: 12 })

type Pairs = [number, number][]
const closed = (ring: Ring): Pairs => [...ring, ring[0]!].map(([x, y]): [number, number] => [x, y])
const asOther = (list: readonly Ring[]): Pairs[][] => list.map((ring) => [closed(ring)])
const areaOf = (pieces: readonly (readonly Pairs[])[]) =>
  polygonArea(pieces.map((ringList): Polygon => ringList.map((ring) => ring.slice(0, -1))))

/** What the other engine makes of the same ground, m2; undefined where it gives up. */
function otherwise(added: readonly Ring[], taken: readonly Ring[]) {
  try {
    const [lawn, away] = [asOther(added), asOther(taken)]
    return {
      net: areaOf(other.difference(lawn, away)),
      beyond: taken.map((ring) => areaOf(other.difference([[closed(ring)]], lawn))),
      size: areaOf(other.union(lawn)),
    }
  } catch {
    return undefined
  }
}

test('another engine gives the same ground, holes, touching sides and strays, to a millionth', () => {
  fc.assert(
    fc.property(rings, rings, (added, taken) => {
      const expected = otherwise(added, taken)
      if (!expected) return
      const found = combineOutlines(added, taken)
      if (!found.ok) throw new Error(found.error.kind)
      const within = 1e-6 * expected.size
      expect(Math.abs(polygonArea(found.value.net) - expected.net)).toBeLessThanOrEqual(within)
      expect(Math.abs(found.value.added - expected.size)).toBeLessThanOrEqual(within)
      const strays = expected.beyond.flatMap((beyond, index) => (beyond > 2e-3 ? [{ index, beyond }] : []))
      for (const { index, beyond } of strays) {
        const stray = found.value.strays.find((one) => one.index === index)
        expect(Math.abs((stray?.beyond ?? 0) - beyond)).toBeLessThanOrEqual(within)
      }
    }),
    { numRuns: 400 },
  )
})

/** Places all over the field, none on a side of what is drawn to the millimetre. */
const PLACES = Array.from({ length: 400 }, (_, i): Point => [
  (i % 20) * 4 - 8.00037,
  Math.floor(i / 20) * 4 - 8.00053,
])

test('a place lies on one piece of the ground if it lies on a lawn and in no exclusion', () => {
  fc.assert(
    fc.property(rings, rings, (added, taken) => {
      const found = combineOutlines(added, taken)
      if (!found.ok) throw new Error(found.error.kind)
      const pieces = found.value.net
      for (const place of PLACES) {
        const on = pieces.filter(
          ([outline, ...holes]) => inside(place, outline!) && !holes.some((hole) => inside(place, hole)),
        )
        const expected =
          added.some((ring) => inside(place, ring)) && !taken.some((ring) => inside(place, ring))
        expect([place, on.length]).toEqual([place, expected ? 1 : 0])
      }
    }),
    { numRuns: 100 },
  )
})

test('an exclusion without corners takes nothing', () => {
  const lawn: Ring = [
    [0, 0],
    [10, 0],
    [10, 10],
  ]
  const found = combineOutlines([lawn], [[]])
  expect(found.ok && [polygonArea(found.value.net), found.value.strays]).toEqual([50, []])
})

test('what lies further out than a site reaches is refused, not rounded', () => {
  const far: Ring = [
    [0, 0],
    [2e6, 0],
    [0, 5],
  ]
  expect(unite([far])).toEqual({ ok: false, error: { kind: 'notCombined' } })
  expect(subtract([[far]], [[far]])).toMatchObject({ ok: false })
})

test('an island in a hole of the exclusions stays lawn, less the bed that lies on it', () => {
  const square = (from: number, to: number): Ring => [
    [from, from],
    [to, from],
    [to, to],
    [from, to],
  ]
  // A path round a plot, as four strips: 16 x 16 less 12 x 12 is taken from 40 x 40.
  const strips: readonly Ring[] = [
    [
      [12, 12],
      [28, 12],
      [28, 14],
      [12, 14],
    ],
    [
      [12, 26],
      [28, 26],
      [28, 28],
      [12, 28],
    ],
    [
      [12, 12],
      [14, 12],
      [14, 28],
      [12, 28],
    ],
    [
      [26, 12],
      [28, 12],
      [28, 28],
      [26, 28],
    ],
  ]
  const bed = square(18, 22)
  const found = combineOutlines([square(0, 40)], [bed, ...strips])
  expect(found.ok && polygonArea(found.value.net)).toBeCloseTo(1600 - (256 - 144) - 16, 6)
  expect(found.ok && found.value.net.map((piece) => piece.length)).toEqual([2, 2])
})
