import { depositProfile } from '../core/calibration/trayPattern'
import { combineOutlines } from '../core/ground/combineOutlines'
import type { Ring } from '../core/ground/plane'
import { acrossOf, coverageOf, type CoverageQuestion } from '../core/lanes/coverage/coverage'
import { lanePlan, type LaneQuestion } from '../core/lanes/plan/lanePlan'
import { bestInTurn, bestOf, ranInCpp, timed } from './inCpp'
import { round } from './statistics'

const RUNS = 8
const LANE_RUNS = 12
const WALK = { width: 3.35, headers: 1, passes: 2, speed: 1.4, turn: 5 } as const
const [SIDE, CELL, TRAYS, SPACING, RATE] = [100, 0.05, 41, 0.25, 0.005]

/**
 * Lanes over an outline of 400 corners with 40 exclusions; what a hectare gets in cells of 5 cm from 41 trays
 * in two passes, and the same in C++ at -O3 where a compiler is there.
 */
export function lanesBench() {
  const coverage = hectare()
  const [run, cpp] = bestInTurn(
    RUNS,
    () => timed(() => coverageOf(coverage)),
    ({ value }) => throwInCpp(coverage, value),
  )
  return {
    lanesMs: round(1000 * bestOf(LANE_RUNS, () => timed(() => lanePlan(manyBeds()))).seconds),
    coverage: {
      seconds: round(run.seconds),
      cppSeconds: cpp?.seconds,
      times: cpp && round(run.seconds / cpp.seconds),
    },
  }
}

const round12 = (x: number, y: number, radius: number): Ring =>
  Array.from({ length: 12 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 12
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
  })

function manyBeds(): LaneQuestion {
  const outline: Ring = Array.from({ length: 400 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 400
    const radius = 60 + 8 * Math.sin(5 * angle) + 4 * Math.sin(17 * angle)
    return [radius * Math.cos(angle), radius * Math.sin(angle)]
  })
  const beds = Array.from({ length: 40 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 40
    const far = 15 + (i % 4) * 10
    return round12(far * Math.cos(angle), far * Math.sin(angle), 1)
  })
  const ground = combineOutlines([outline], beds)
  if (!ground.ok) throw new Error(ground.error.kind)
  return { ground: ground.value.net, ...WALK }
}

function hectare(): CoverageQuestion {
  const square: Ring = [
    [0, 0],
    [SIDE, 0],
    [SIDE, SIDE],
    [0, SIDE],
  ]
  const ground = [[square]]
  const plan = lanePlan({ ground, ...WALK })
  const middle = (TRAYS - 1) / 2
  const profile = depositProfile({
    catches: Array.from({ length: TRAYS }, (_, i) => middle + 1 - Math.abs(i - middle)),
    spacing: SPACING,
  })
  if (!plan.ok || !profile.ok) throw new Error('the bench lawn has no lanes')
  return {
    ground,
    passes: plan.value.passes,
    width: WALK.width,
    profile: profile.value,
    rate: RATE,
    cell: CELL,
    seed: 1,
    wander: 0,
    speedSd: 0,
    lag: 0,
  }
}

/** The same lawn and lanes in C++; what comes out must be the same. */
function throwInCpp(
  { ground, passes, profile, width, rate }: CoverageQuestion,
  { grid, thrown, onLawn, offLawn }: ReturnType<typeof coverageOf>,
): { readonly seconds: number } | undefined {
  const { cell, columns, rows, origin, amounts } = grid
  const { first, step, shares } = acrossOf(profile, cell)
  const lanes = passes.flatMap((pass) => pass.lanes)
  const input = [
    [
      columns,
      rows,
      cell,
      ...origin,
      shares.length,
      first,
      step,
      (rate / passes.length) * width,
      ground.flat().length,
      lanes.length,
    ],
    [...shares],
    ...ground.flat().map((ring) => [ring.length, ...ring.flat()]),
    ...lanes.map(({ line }) => [line.length, ...line.flat()]),
  ]
  const out = ranInCpp('coverageThrow.cpp', [], input.map((row) => row.join(' ')).join('\n'))
  if (!out) return undefined
  const [cppThrown = 0, cppOn = 0, cppOff = 0, sum = 0, squares = 0, seconds = 0] = out
  const [own, ownSquares] = amounts.reduce(
    ([a, b], amount) => [a + amount, b + amount * amount] as [number, number],
    [0, 0] as [number, number],
  )
  for (const [a, b] of [
    [thrown, cppThrown],
    [onLawn, cppOn],
    [offLawn, cppOff],
    [own, sum],
    [ownSquares, squares],
  ] as const)
    if (Math.abs(a - b) > 1e-6 * Math.abs(b)) throw new Error('the throws do not come to the same')
  return { seconds }
}
