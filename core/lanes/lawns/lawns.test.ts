import { expect, test } from 'vitest'
import { figure, readTable } from '../../../test/support/readTable'
import type { Point, Ring } from '../../ground/plane'
import { openWorkingBook } from '../../working/working'
import type { Lane, LanePlan } from '../plan/lanePlan'
import { groundSize } from './buffers'
import { downwind } from './downwind'
import { laneAmounts, laneStops, type LaneStop } from './laneStops'
import type { LanesQuestion, WalkedLawn } from './lanesQuestion'
import { costWords } from './laneWords'
import { workOutLanes } from './workOutLanes'

const box = (x: number, y: number, wide: number, high: number): Ring => [
  [x, y],
  [x + wide, y],
  [x + wide, y + high],
  [x, y + high],
]
const lawn = (more: Partial<WalkedLawn> = {}): WalkedLawn => ({
  id: 'front',
  name: 'Front',
  shapes: [{ sign: 'add', rings: [box(0, 0, 20, 30)], what: '' }],
  amount: 6,
  direction: undefined,
  start: undefined,
  ...more,
})
const asked = (lawns: readonly WalkedLawn[], more: Partial<LanesQuestion> = {}): LanesQuestion => ({
  lawns,
  width: 2,
  passes: 1,
  speed: 1,
  turn: 5,
  bearing: 0,
  headers: 1,
  shutSide: undefined,
  aim: 'quickest',
  truck: undefined,
  buffers: { water: 0, beds: 0 },
  batches: [{ lawns: lawns.map(({ id }) => id), loads: [7], holds: 7 }],
  ...more,
})

/** Lanes one beside the other, h for a lap. */
function planOf(row: Readonly<Record<string, string>>): LanePlan {
  let number = 0
  const passes = row.lanes!.split('|').map((pass) => ({
    direction: 0,
    lanes: pass.split(' ').map((text): Lane => {
      number += 1
      const length = Number(text.replace('h', ''))
      const header = text.startsWith('h')
      const line: readonly Point[] = [
        [number, 0],
        [number, length],
      ]
      return { number, header, edge: header, line, length }
    }),
  }))
  return { passes, distance: 0, turns: 0, seconds: 0, between: 0, reasons: [] }
}
const told = ({ afterLane, within, left, fill }: LaneStop) =>
  `${within ? 'in' : ''}${afterLane}:${Number(left.toFixed(6))}${fill === undefined ? '' : `+${fill}`}`

test.each(readTable('laneStops.csv', import.meta.url))('$name: $words', (row) => {
  const plan = planOf(row)
  const laid = { id: 'front', plan, amount: figure(row, 'amount') }
  const stops = laneStops(
    [laid],
    {
      lawns: ['front'],
      loads: row.loads!.split(' ').map(Number),
      holds: row.holds ? figure(row, 'holds') : undefined,
    },
    [0, 0],
  )
  expect(stops.map(told).join(' ')).toBe(row.stops)
  expect(stops.every(({ at: [x, y], toTruck }) => toTruck === Math.hypot(x, y))).toBe(true)
  expect(laneAmounts(laid).reduce((a, b) => a + b, 0)).toBeCloseTo(laid.amount, 9)
})

test('a pond is kept from, what stays untreated is told, and takes its share of the amount with it', () => {
  const pond = { sign: 'subtract' as const, rings: [box(8, 12, 4, 4)], what: 'Pond' }
  const { shapes } = lawn()
  const with5 = workOutLanes(asked([lawn({ shapes: [...shapes, pond] })], { buffers: { water: 5, beds: 1 } }))
    .lawns[0]!
  // Corners are cut square: 14 by 14 m around the pond of 4 by 4.
  expect(with5.keptOut?.size).toBeCloseTo(14 * 14 - 16, 6)
  expect(groundSize(with5.ground)).toBeCloseTo(600 - 196, 6)
  expect(with5.amounts.reduce((a, b) => a + b, 0)).toBeCloseTo((6 * (600 - 196)) / (600 - 16), 6)
  const kept = (what: string) =>
    workOutLanes(
      asked([lawn({ shapes: [...shapes, { ...pond, what }] })], { buffers: { water: 5, beds: 1 } }),
    ).lawns[0]!.keptOut?.size
  // A bed has a buffer of its own: 6 by 6 m around 4 by 4. Paving has none.
  expect(kept('Rose bed')).toBeCloseTo(36 - 16, 6)
  expect(kept('Path')).toBe(undefined)
})

test('edges lie on the side that can be shut off, round the lawn and round what is taken out', () => {
  const bed = { sign: 'subtract' as const, rings: [box(8, 12, 4, 4)], what: 'Bed' }
  for (const shutSide of ['left', 'right'] as const) {
    const question = asked([lawn({ shapes: [...lawn().shapes, bed] })], { shutSide })
    const laps = workOutLanes(question).lawns[0]!.plan!.passes[0]!.lanes.filter(({ edge }) => edge)
    expect(laps).toHaveLength(2)
    for (const { line } of laps) {
      const [[x, y], [u, v]] = [line[0]!, line[1]!]
      const length = Math.hypot(u - x, v - y)
      const side = shutSide === 'right' ? 1 : -1
      // A little more than half a width to that side of the middle of the first leg there is no lawn.
      const off: Point = [
        (x + u) / 2 + (side * 1.1 * (v - y)) / length,
        (y + v) / 2 - (side * 1.1 * (u - x)) / length,
      ]
      const onLawn = off[0] > 0 && off[0] < 20 && off[1] > 0 && off[1] < 30
      const onBed = off[0] > 8 && off[0] < 12 && off[1] > 12 && off[1] < 16
      expect(onLawn && !onBed).toBe(false)
    }
  }
})

test('what a hand overrules is told with what it costs; what it does not is nothing to tell', () => {
  const [own] = workOutLanes(asked([lawn()])).lawns
  expect(own?.cost).toBe(undefined)
  expect(own?.plan?.passes[0]?.direction).toBe(0)
  const [across] = workOutLanes(asked([lawn({ direction: 90 })])).lawns
  // Inside the lap 16 by 26 m: 13 lanes across instead of 8 along.
  expect(across?.cost?.turns).toBe(5)
  expect(costWords({ metres: -12, seconds: 30, turns: 1 }, (m) => `${m} m`)).toBe(
    '12 m less to walk, 1 turn more, 0.5 min more than the tool’s own',
  )
  expect(costWords({ metres: 0, seconds: 0, turns: 0 }, String)).toBe('as long as the tool’s own choice')
})

test('a direction is told from north, however the plan is turned', () => {
  const [turned] = workOutLanes(asked([lawn()], { bearing: 30 })).lawns
  expect(turned?.plan?.passes[0]?.direction).toBe(0)
  expect(turned?.plan?.reasons[0]).toMatch(/^Direction 30°/)
})

test('totals foot, working is kept by lawn, and a lawn of which only the size is known says so', () => {
  const book = openWorkingBook()
  const bare = lawn({ id: 'back', name: 'Back', shapes: [] })
  const { lawns, metres, turns, seconds, stops } = workOutLanes(asked([lawn(), bare], { passes: 2 }), book)
  expect(lawns[1]?.problem).toBe('noShape')
  const plan = lawns[0]!.plan!
  expect([metres, turns]).toEqual([plan.distance + plan.between, plan.turns])
  expect(seconds).toBeCloseTo(plan.distance + plan.between + 5 * plan.turns, 6)
  expect(stops.at(-1)).toMatchObject({ pass: 2, why: 'pass', left: expect.closeTo(1, 6) })
  expect(book.pages()[0]?.lines[0]).toBe('Front')
})

test('the wind carries over the far edge, and onto water first of all', () => {
  const shapes = [{ sign: 'subtract' as const, rings: [], what: 'Fish pond' }]
  expect(downwind([{ shapes }], 'W')).toEqual({
    edge: 'E',
    words: 'Wind from the west carries over the east edge, and onto the west side of: Fish pond.',
    water: ['Fish pond'],
  })
})

test('a strip hardly broader than a width is walked once; a bed near the edge is not lapped twice', () => {
  const strip = lawn({ shapes: [{ sign: 'add', rings: [box(0, 0, 2.2, 30)], what: '' }] })
  const [own] = workOutLanes(asked([strip])).lawns
  expect(own?.plan?.passes[0]?.lanes.map(({ length }) => Math.round(length))).toEqual([30])
  // The bed lies 2.2 m from the western edge, its lap there 0.2 m beside the lap of the edge: 24 m round it
  // less that side of 6 m and half a metre of each of its neighbours.
  const bed = { sign: 'subtract' as const, rings: [box(2.2, 12, 4, 4)], what: 'Bed' }
  const [round] = workOutLanes(asked([lawn({ shapes: [...lawn().shapes, bed] })])).lawns
  const laps = round!.plan!.passes[0]!.lanes.filter(({ edge }) => edge)
  expect(laps.map(({ length }) => Math.round(length))).toEqual([92, 17])
})
