import fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../../test/support/readTable'
import type { Polygon } from '../../ground/clipping'
import { inside, type Point, type Ring } from '../../ground/plane'
import { lanePlan, type Lane, type LaneQuestion } from './lanePlan'
import { refillsOf } from './refills'

/** North is up: its length runs north, its breadth east. */
const rectangle = (length: number, breadth: number): Ring => [
  [0, 0],
  [breadth, 0],
  [breadth, length],
  [0, length],
]
const question = (ground: readonly Polygon[], more: Partial<LaneQuestion>): LaneQuestion => ({
  ground,
  width: 3,
  headers: 1,
  passes: 1,
  speed: 1,
  turn: 5,
  ...more,
})
const planned = (asked: LaneQuestion) => {
  const plan = lanePlan(asked)
  if (!plan.ok) throw new Error(plan.error.kind)
  return plan.value
}
const lanesOf = (asked: LaneQuestion): readonly Lane[] => planned(asked).passes.flatMap(({ lanes }) => lanes)

test.each(readTable('lanePlan.csv', import.meta.url))('$name: $words', (row) => {
  const ground = [[rectangle(figure(row, 'length'), figure(row, 'breadth'))]]
  const plan = planned(
    question(ground, {
      width: figure(row, 'width'),
      headers: figure(row, 'headers'),
      passes: figure(row, 'passes') as 1 | 2,
      direction: figure(row, 'direction'),
    }),
  )
  const lanes = plan.passes.flatMap((pass) => pass.lanes)
  expect(lanes).toHaveLength(figure(row, 'lanes'))
  expect(plan.distance).toBeCloseTo(figure(row, 'distance'), 4)
  expect(plan.turns).toBe(lanes.length - 1)
  expect(plan.seconds).toBeCloseTo(plan.distance + 5 * plan.turns, 6)
  expect(lanes.map(({ number }) => number)).toEqual(lanes.map((_, i) => i + 1))
})

test('lanes are walked to and fro, each beginning beside where the one before ended', () => {
  const lanes = lanesOf(question([[rectangle(30, 12)]], { headers: 0, direction: 0 }))
  expect(
    lanes.map(({ line }) => line.map((place) => place.map((value) => Math.round(value * 10) / 10))),
  ).toEqual([
    [
      [1.5, 0],
      [1.5, 30],
    ],
    [
      [4.5, 30],
      [4.5, 0],
    ],
    [
      [7.5, 0],
      [7.5, 30],
    ],
    [
      [10.5, 30],
      [10.5, 0],
    ],
  ])
})

/** A lawn of twelve corners about a middle, with a round bed in it. */
const lawns = fc
  .record({
    radii: fc.array(fc.double({ min: 14, max: 30, noNaN: true }), { minLength: 12, maxLength: 12 }),
    bed: fc.double({ min: 1, max: 4, noNaN: true }),
    width: fc.double({ min: 2, max: 4, noNaN: true }),
    direction: fc.double({ min: 0, max: 180, noNaN: true }),
  })
  .map(({ radii, bed, ...rest }) => {
    const round = (at: number, radius: number): Point => [
      radius * Math.cos((2 * Math.PI * at) / 12),
      radius * Math.sin((2 * Math.PI * at) / 12),
    ]
    const outline = radii.map((radius, i) => round(i, radius))
    const hole = Array.from({ length: 12 }, (_, i) => round(11 - i, bed))
    return { ground: [[outline, hole]] as readonly Polygon[], ...rest }
  })

const far = ([x, y]: Point, lanes: readonly Lane[]): number => {
  let least = Number.POSITIVE_INFINITY
  for (const { line } of lanes)
    for (let i = 0; i + 1 < line.length; i++) {
      const [[ax, ay], [bx, by]] = [line[i]!, line[i + 1]!]
      const whole = (bx - ax) ** 2 + (by - ay) ** 2 || 1
      const share = Math.min(1, Math.max(0, ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / whole))
      least = Math.min(least, Math.hypot(x - ax - share * (bx - ax), y - ay - share * (by - ay)))
    }
  return least
}

test('every place inside the lap lies within half a swath of a lane; every lane lies on the lawn', () => {
  fc.assert(
    fc.property(lawns, ({ ground, width, direction }) => {
      const lanes = lanesOf(question(ground, { width, direction }))
      const [outline = [], hole = []] = ground[0] ?? []
      for (const { line } of lanes)
        for (const place of line) {
          expect(inside(place, outline)).toBe(true)
          expect(inside(place, hole)).toBe(false)
        }
      for (let x = -28; x <= 28; x += 3.7)
        for (let y = -28; y <= 28; y += 3.7) {
          const place: Point = [x, y]
          if (!inside(place, outline) || inside(place, hole)) continue
          // The corners of a lap are walked to the edge: there it is said to be thin.
          const limit = farFromEdge(place, [outline, hole]) > width / 2 ? width / 2 : width
          expect(far(place, lanes)).toBeLessThanOrEqual(limit + 1e-3)
        }
    }),
    { numRuns: 60 },
  )
})

const farFromEdge = (place: Point, rings: readonly Ring[]): number =>
  far(
    place,
    rings.map((ring) => ({ number: 0, header: true, edge: true, line: [...ring, ring[0]!], length: 0 })),
  )

test('the direction that is chosen is never slower than the better of the two axes', () => {
  fc.assert(
    fc.property(lawns, ({ ground, width }) => {
      const free = planned(question(ground, { width }))
      for (const direction of [0, 90])
        expect(free.seconds).toBeLessThanOrEqual(
          planned(question(ground, { width, direction })).seconds + 1e-6,
        )
    }),
    { numRuns: 40 },
  )
})

test('a strip too narrow for a lap is walked along its middle', () => {
  // A square of 20 with a path of 2 x 15 to the east of it.
  const ground: Ring = [
    [0, 0],
    [20, 0],
    [20, 9],
    [35, 9],
    [35, 11],
    [20, 11],
    [20, 20],
    [0, 20],
  ]
  const plan = planned(question([[ground]], { direction: 0 }))
  expect(plan.reasons).toContainEqual(expect.stringContaining('1 strip too narrow for a lap'))
  const lanes = plan.passes[0]?.lanes ?? []
  expect(far([30, 10], lanes)).toBeLessThan(0.01)
})

test('refills come before the lane a load no longer reaches to the end', () => {
  const lanes = lanesOf(question([[rectangle(30, 12)]], { headers: 0, direction: 0 }))
  // 90 m2 each: a load of 200 does two; of half the rate twice it does four.
  expect(refillsOf(lanes, 200, 3, 1, [0, 0])).toEqual([{ afterLane: 2, at: [4.5, 0], toTruck: 4.5 }])
  expect(refillsOf(lanes, 200, 3, 2, undefined)).toEqual([])
  expect(refillsOf(lanes, 90, 3, 1, undefined).map(({ afterLane }) => afterLane)).toEqual([1, 2, 3])
  // A load that covers next to nothing is filled up without end in every lane, and is told after each.
  expect(refillsOf(lanes, 1e-300, 3, 1, undefined).map(({ afterLane }) => afterLane).length).toBeLessThan(4)
  // Longer than a load: it is filled up under way, and anew before the next.
  expect(refillsOf(lanes, 60, 3, 1, undefined).map(({ afterLane }) => afterLane)).toEqual([1, 2, 3])
})

test('ground that is none, and lanes without number, are refused', () => {
  expect(lanePlan(question([], {})).ok).toBe(false)
  expect(lanePlan(question([[rectangle(2000, 2000)]], { width: 0.01 }))).toMatchObject({
    error: { kind: 'tooMany' },
  })
})
