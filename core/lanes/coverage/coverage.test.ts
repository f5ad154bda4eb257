import fc from 'fast-check'
import { expect, test } from 'vitest'
import { depositProfile, variation, type DepositProfile } from '../../calibration/trayPattern'
import type { Polygon } from '../../ground/clipping'
import type { Point } from '../../ground/plane'
import type { LanePass } from '../plan/lanePlan'
import { coverageOf, type CoverageQuestion } from './coverage'
import { coverageFigures } from './evenness'
import type { Grid } from './grid'

const profileOf = (catches: readonly number[], spacing: number): DepositProfile => {
  const profile = depositProfile({ catches, spacing })
  if (!profile.ok) throw new Error(profile.error.kind)
  return profile.value
}
/** Rises and falls over 6 m: even at 3 m between lanes. */
const TRIANGLE = profileOf([1, 2, 3, 2, 1], 1)
const square = (side: number): readonly Polygon[] => [
  [
    [
      [0, 0],
      [side, 0],
      [side, side],
      [0, side],
    ],
  ],
]
const lane = (number: number, line: readonly Point[]) => ({
  number,
  header: false,
  edge: false,
  line,
  length: Math.hypot(line[1]![0] - line[0]![0], line[1]![1] - line[0]![1]),
})
/** Lanes to the north and back, beyond a square of ground on all sides. */
const lanesNorth = (side: number, width: number): LanePass => ({
  direction: 0,
  lanes: Array.from({ length: Math.ceil(side / width) + 8 }, (_, i) => {
    const x = (i - 4) * width
    const ends: readonly Point[] = [
      [x, -10],
      [x, side + 10],
    ]
    return lane(i + 1, i % 2 === 0 ? ends : ends.toReversed())
  }),
})
const question = (more: Partial<CoverageQuestion>): CoverageQuestion => ({
  ground: square(24),
  passes: [lanesNorth(24, 3)],
  width: 3,
  profile: TRIANGLE,
  rate: 0.005,
  cell: 0.1,
  seed: 1,
  wander: 0,
  speedSd: 0,
  lag: 0,
  ...more,
})
const figuresOf = (asked: CoverageQuestion) => coverageFigures(coverageOf(asked).grid, asked.rate)!

test.each([
  ['as wide as it is even', 3, TRIANGLE],
  ['too wide', 4.5, TRIANGLE],
  ['a skewed pattern, to and fro', 3, profileOf([1, 2, 3, 4, 1], 1)],
  ['more to the right', 4, profileOf([0, 1, 2, 3, 5, 1], 1)],
])('a field without end has the variation of its pattern at that spacing: %s', (_, width, profile) => {
  const side = 12 * width
  const { cv, mean } = figuresOf(
    question({ ground: square(side), passes: [lanesNorth(side, width)], width, profile }),
  )
  expect(cv).toBeCloseTo(variation(profile, width, 'back-and-forth'), 2)
  expect(mean).toBeCloseTo(0.005, 5)
})

test('two passes at right angles of a triangle at 4.5 m: variances add, means too', () => {
  const north = lanesNorth(36, 4.5)
  const east: LanePass = {
    direction: 90,
    lanes: north.lanes.map((one) =>
      lane(
        one.number,
        one.line.map(([x, y]): Point => [y, x]),
      ),
    ),
  }
  const one = variation(TRIANGLE, 4.5, 'back-and-forth')
  const both = figuresOf(question({ ground: square(36), passes: [north, east], width: 4.5 }))
  // Each pass brings half: sd is one / 2 of its own, twice, so the square root of two halves.
  expect(both.cv).toBeCloseTo(one / Math.SQRT2, 2)
})

test('nothing is lost or made up: on the lawn and beside it come to what was thrown', () => {
  fc.assert(
    fc.property(
      fc.record({
        seed: fc.nat(),
        wander: fc.double({ min: 0, max: 0.4, noNaN: true }),
        speedSd: fc.double({ min: 0, max: 0.2, noNaN: true }),
        lag: fc.double({ min: 0, max: 1, noNaN: true }),
        turn: fc.double({ min: 0, max: Math.PI, noNaN: true }),
      }),
      ({ turn, ...rest }) => {
        const line: readonly Point[] = [
          [6, 6],
          [6 + 10 * Math.sin(turn), 6 + 10 * Math.cos(turn)],
        ]
        const passes = [{ direction: 0, lanes: [lane(1, line)] }]
        const { grid, thrown, onLawn, offLawn } = coverageOf(
          question({ ground: square(12), passes, ...rest }),
        )
        expect((onLawn + offLawn) / thrown).toBeCloseTo(1, 9)
        expect(sumOfCells(grid) / thrown).toBeCloseTo(1, 9)
        expect(offLawn).toBeGreaterThanOrEqual(0)
        // 10 m at 3 m of 5 g/m2 where pace is kept.
        if (rest.speedSd === 0) expect(thrown).toBeCloseTo(0.15, 9)
      },
    ),
    { numRuns: 60 },
  )
})
const sumOfCells = ({ amounts }: Grid): number => amounts.reduce((sum, amount) => sum + amount, 0)

test('a gate that is late leaves the beginning bare and throws beyond the end', () => {
  const passes = [
    {
      direction: 0,
      lanes: [
        lane(1, [
          [6, 0],
          [6, 12],
        ]),
      ],
    },
  ]
  const late = coverageOf(question({ ground: square(12), passes, lag: 1 }))
  const sharp = coverageOf(question({ ground: square(12), passes }))
  // A metre of twelve lands behind the lawn.
  expect(late.offLawn - sharp.offLawn).toBeCloseTo(late.thrown / 12, 2)
  expect(sharp.onLawn / sharp.thrown).toBeCloseTo(1, 2)
})

test('the same seed gives the same lawn, another one another', () => {
  const once = figuresOf(question({ wander: 0.2, seed: 7 })).cv
  expect(figuresOf(question({ wander: 0.2, seed: 7 })).cv).toBe(once)
  expect(figuresOf(question({ wander: 0.2, seed: 8 })).cv).not.toBe(once)
})

test('shares of the lawn come to one; a lawn too large for its cells gets larger ones', () => {
  const { histogram, under80, over120 } = figuresOf(question({ wander: 0.3 }))
  expect(histogram).toHaveLength(20)
  expect(histogram.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
  expect(under80 + over120).toBeLessThan(1)
  const { grid } = coverageOf(
    question({ ground: square(2000), cell: 0.05, passes: [{ direction: 0, lanes: [] }] }),
  )
  expect(grid.cell).toBeGreaterThan(0.5)
  expect(grid.amounts.length).toBeLessThan(9_000_000)
})
