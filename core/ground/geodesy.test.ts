import fc from 'fast-check'
import { expect, test } from 'vitest'
import { Geodesic, PolygonArea } from 'geographiclib-geodesic'
import { anchorFor, ringToPlan, toEarth, toPlan, type Position } from './geodesy'
import { ringArea } from './plane'

const anchor = fc.record({
  lat: fc.double({ min: -70, max: 70, noNaN: true }),
  lon: fc.double({ min: -180, max: 180, noNaN: true }),
  bearing: fc.integer({ min: 0, max: 359 }),
})
const near = fc.tuple(
  fc.double({ min: -1500, max: 1500, noNaN: true }),
  fc.double({ min: -1500, max: 1500, noNaN: true }),
)

test('there and back is the same point, to a tenth of a millimetre', () => {
  fc.assert(
    fc.property(anchor, near, (origin, [x, y]) => {
      const [bx, by] = toPlan(toEarth([x, y], origin), origin)
      expect(bx).toBeCloseTo(x, 4)
      expect(by).toBeCloseTo(y, 4)
    }),
  )
})

test('areas agree with the ellipsoidal library to 1e-4 at site size, wherever the anchor is', () => {
  const corners = fc.array(fc.integer({ min: 30, max: 400 }), { minLength: 4, maxLength: 12 })
  fc.assert(
    fc.property(anchor, corners, near, (origin, radii, [dx, dy]) => {
      const ring = radii.map((radius, i): Position =>
        toEarth(
          [
            dx + radius * Math.cos((2 * Math.PI * i) / radii.length),
            dy + radius * Math.sin((2 * Math.PI * i) / radii.length),
          ],
          origin,
        ),
      )
      const polygon = new PolygonArea.PolygonArea(Geodesic.WGS84)
      for (const [lon, lat] of ring) polygon.AddPoint(lat, lon)
      const theirs = Math.abs(polygon.Compute(false, true).area ?? 0)
      const ours = ringArea(ringToPlan(ring, { ...origin, bearing: 0 }))
      expect(Math.abs(ours / theirs - 1)).toBeLessThan(1e-4)
    }),
  )
})

test('lengths near the anchor are true: one second of latitude and of longitude at 39 degrees north', () => {
  const origin = { lat: 39, lon: -76, bearing: 0 }
  const line = (to: Position) => Geodesic.WGS84.Inverse(39, -76, to[1], to[0]).s12 ?? 0
  for (const to of [
    [-76, 39 + 1 / 3600],
    [-76 + 1 / 3600, 39],
    [-75.99, 39.008],
  ] as const)
    expect(Math.hypot(...toPlan(to, origin)) / line(to)).toBeCloseTo(1, 4)
})

test('a plan across the date line stays in one piece, and an anchor is the middle', () => {
  expect(toPlan([-179.999, 0], { lat: 0, lon: 179.999, bearing: 0 })[0]).toBeCloseTo(222.64, 1)
  expect(
    anchorFor([
      [-76.2, 39],
      [-76, 39.1],
    ]),
  ).toEqual({ lat: 39.05, lon: -76.1, bearing: 0 })
  expect(anchorFor([])).toBeUndefined()
  // A plan whose upward edge points east: its up is our east.
  expect(toEarth([0, 100], { lat: 39, lon: -76, bearing: 90 })[0]).toBeGreaterThan(-76)
})
