import { expect, test } from 'vitest'
import { depositProfile } from '../../calibration/trayPattern'
import type { Ring } from '../../ground/plane'
import { openWorkingBook } from '../../working/working'
import { compareSetUps } from './compareSetUps'
import { cornersWalkedOn } from './cornersWalkedOn'
import { dropSpread, nozzlePattern, straightened, typicalSpread } from './profiles'
import { workOutCoverage, type CoverageAsk, type SetUp } from './workOutCoverage'

const box = (x: number, y: number, wide: number, high: number): Ring => [
  [x, y],
  [x + wide, y],
  [x + wide, y + high],
  [x, y + high],
]
const setUp = (more: Partial<SetUp> = {}): SetUp => ({
  passes: 1,
  width: 3,
  headers: 1,
  direction: 0,
  start: undefined,
  speed: 1,
  turn: 5,
  pattern: typicalSpread(3),
  deflector: undefined,
  laid: 0.01,
  wander: 0,
  speedSd: 0,
  lag: 0,
  ...more,
})
const asked = (more: Partial<CoverageAsk> = {}): CoverageAsk => ({
  shapes: [
    { sign: 'add', rings: [box(0, 0, 30, 30)], what: '' },
    { sign: 'subtract', rings: [box(12, 12, 6, 6)], what: 'Pond' },
  ],
  buffers: { water: 0, beds: 0 },
  setUp: setUp(),
  target: 0.01,
  most: 0.0125,
  cell: 0.1,
  seed: 3,
  ...more,
})
const covered = (ask: CoverageAsk) => {
  const told = workOutCoverage(ask)
  if (!told.ok) throw new Error(told.error.kind)
  return told.value
}

test('what is thrown lands on the lawn or on something with a name, to the last gram', () => {
  const { thrown, onLawn, off, shares } = covered(
    asked({ setUp: setUp({ wander: 0.2, speedSd: 0.1, lag: 0.3 }) }),
  )
  const beside = off.reduce((sum, { amount }) => sum + amount, 0)
  expect(Math.abs(onLawn + beside - thrown) / thrown).toBeLessThan(1e-6)
  expect(off.map(({ what }) => what)).toEqual(['beyond the edge', 'Pond'])
  expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
})

test('a deflector keeps what would fly over an edge on the lawn', () => {
  const open = covered(asked())
  const shut = covered(asked({ setUp: setUp({ deflector: 'right' }) }))
  expect(shut.thrown).toBeCloseTo(open.thrown, 9)
  const beside = ({ off }: typeof open) => off.reduce((sum, { amount }) => sum + amount, 0)
  expect(beside(shut)).toBeLessThan(beside(open) / 4)
  expect(shut.onLawn).toBeGreaterThan(open.onLawn)
})

test('the same seed gives the same picture, another one another', () => {
  const walk = { setUp: setUp({ wander: 0.2 }) }
  const [one, same, other] = [
    covered(asked(walk)),
    covered(asked(walk)),
    covered(asked({ ...walk, seed: 4 })),
  ]
  expect(same.grid.amounts).toEqual(one.grid.amounts)
  expect(other.grid.amounts).not.toEqual(one.grid.amounts)
})

test('the worst strip of a throw that does not reach its neighbour lies between two lanes', () => {
  // A drop spreader of 1 m on lanes 2 m apart: half of the ground gets nothing, half twice as much.
  const narrow = covered(
    asked({
      shapes: [{ sign: 'add', rings: [box(0, 0, 20, 40)], what: '' }],
      setUp: setUp({ width: 2, headers: 0, pattern: dropSpread(1) }),
    }),
  )
  expect(narrow.worst?.pass).toBe(1)
  expect(narrow.figures.cv).toBeGreaterThan(0.9)
  expect(narrow.overMost).toBeGreaterThan(0.4)
  const { between = [], share = 1 } = narrow.worst ?? {}
  expect(Math.abs(share - 1)).toBeGreaterThan(0.8)
  expect(between.length === 2 ? between[1]! - between[0]! : 1).toBe(1)
})

test('of two ways the one that leaves less of the lawn off is better, then the quicker', () => {
  const told = (cv: number, under80: number, overMost = 0) => ({
    figures: { mean: 1, cv, under80, over120: 0, histogram: [] },
    overMost,
  })
  const a = { words: 'A', told: told(0.2, 0.2), seconds: 600 }
  const b = { words: 'B', told: told(0.1, 0.05), seconds: 1200 }
  expect(compareSetUps(a, b)).toEqual({
    better: 'b',
    sentence:
      'Better B: 5.0 % of the lawn off by more than a fifth against 20 %, CV 10 % against 20 %, ' +
      'in 10 min more.',
  })
  expect(compareSetUps(a, { ...b, told: told(0.1, 0.05, 0.3) }).better).toBe('a')
  expect(compareSetUps(a, { ...a, seconds: 900 }).better).toBe('a')
  expect(compareSetUps(a, a).better).toBe('same')
})

test('a buffer is left out, a lawn smaller than a cell is told, the working is kept', () => {
  const book = openWorkingBook()
  expect(workOutCoverage(asked({ buffers: { water: 2, beds: 0 } }), undefined, book).ok).toBe(true)
  expect(book.pages()[0]?.figure).toBe('coverage')
  const speck = asked({ shapes: [{ sign: 'add', rings: [box(0.51, 0.51, 0.2, 0.2)], what: '' }], cell: 1 })
  expect(workOutCoverage(speck)).toMatchObject({ ok: false, error: { kind: 'noCell' } })
})

test('nozzles whose fans meet lay evenly between the outermost; straightened sides are alike', () => {
  const { profile } = nozzlePattern([1, 1, 1, 1], 0.5, 1, 'nozzles')
  const middle = profile.deposits.filter((_, i) => Math.abs(profile.places[i]!) < 0.7)
  expect(Math.max(...middle) - Math.min(...middle)).toBeLessThan(1e-9)
  const skewed = depositProfile({ catches: [0, 4, 6, 8, 2], spacing: 1 })
  if (!skewed.ok) throw new Error(skewed.error.kind)
  expect(straightened(skewed.value).deposits).toEqual([1, 6, 6, 6, 1])
})

test('a strip that gets nothing is worse than one that gets a quarter too much', () => {
  const gaps = covered(
    asked({
      shapes: [{ sign: 'add', rings: [box(0, 0, 20, 40)], what: '' }],
      setUp: setUp({ width: 2, headers: 0, pattern: dropSpread(1.6) }),
    }),
  )
  expect(gaps.worst?.share).toBeLessThan(0.3)
})

test('a lap is walked on to the edge at each corner that turns away from it', () => {
  const line = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
    [0, 0],
  ] as const
  const lap = { number: 1, header: true, edge: true, line, length: 40 }
  const ends = (side: 'left' | 'right', walked: typeof lap | Omit<typeof lap, 'line'>) =>
    cornersWalkedOn([{ direction: 0, lanes: [{ ...lap, ...walked }] }], side, 2)[0]!.lanes.map((leg) =>
      leg.line.at(-1)!.map(Math.round),
    )
  expect(ends('right', lap)).toEqual([
    [11, 0],
    [10, 11],
    [-1, 10],
    [0, -1],
  ])
  // With the edge on the left the same way round turns towards it: nothing is walked on.
  expect(ends('left', lap)).toEqual([[0, 0]])
})
