import fc from 'fast-check'
import { expect, test } from 'vitest'
import { part } from '../../test/support/documents'
import { typed } from '../../demo/typed'
import type { AreaDocument, LawnPart } from './areaShape'
import { blankArea, blankPart } from './blankArea'
import type { Point } from './plane'
import { readSiteMap } from './siteMap'
import { mergedArea, splitArea } from './splitArea'

const document = (parts: readonly LawnPart[], rest: Partial<AreaDocument> = {}): AreaDocument => ({
  ...blankArea('x', 'us-1000'),
  parts,
  ...rest,
})
const outline = (id: string, points: readonly Point[], sign: LawnPart['sign'] = 'add'): LawnPart => ({
  ...blankPart(id, sign, 'outline', 'us-1000'),
  outline: { from: 'walked', points, pointError: typed('2', 'm'), origin: 'a file' },
})
const planOf = (one: AreaDocument) =>
  readSiteMap([{ id: 'a', name: 'Front', document: one }], '2026-05-06').areas[0]!
const sizeOf = (parts: readonly LawnPart[]) => planOf(document(parts)).size ?? Number.NaN

function split(one: AreaDocument, line: readonly [Point, Point]) {
  const plan = planOf(one)
  let counted = 0
  return splitArea(
    one.parts.map((each) => ({ part: each, shape: plan.shapes.find(({ partId }) => partId === each.id)! })),
    line,
    () => `new-${counted++}`,
  )
}

const lawn = document([
  outline('a', [
    [0, 0],
    [40, 0],
    [40, 20],
    [0, 20],
  ]),
  outline(
    'b',
    [
      [15, 5],
      [25, 5],
      [25, 15],
      [15, 15],
    ],
    'subtract',
  ),
])

test('both halves of a split come to what there was, wherever the line runs', () => {
  const at = fc.double({ min: 1, max: 39, noNaN: true })
  fc.assert(
    fc.property(at, at, (from, to) => {
      const halves = split(lawn, [
        [from, -5],
        [to, 25],
      ])
      expect(halves.ok).toBe(true)
      if (!halves.ok) return
      // A sliver of 0.05 m2 along the cut may go, and corners stand to the millimetre.
      const both = sizeOf(halves.value[0]) + sizeOf(halves.value[1])
      expect(Math.abs(both - 700)).toBeLessThan(0.05 + 0.005)
    }),
    // The cut leaves a point of the exclusion less than a millimetre wide.
    { examples: [[24.943975500000015, 25.027260955556624]] },
  )
})

test('an exclusion goes to the side it lies on, the first part keeps its id', () => {
  const halves = split(lawn, [
    [10, -1],
    [10, 21],
  ])
  if (!halves.ok) throw new Error(halves.error.kind)
  const [left, right] = halves.value
  expect(left.map(({ id, sign }) => [id, sign])).toEqual([['a', 'add']])
  expect(right.map(({ sign }) => sign)).toEqual(['add', 'subtract'])
  expect(right[0]?.outline).toMatchObject({ from: 'walked', origin: 'a file', pointError: { text: '2' } })
  expect(sizeOf(left)).toBeCloseTo(200, 6)
})

test('a line that misses the area cuts nothing', () => {
  expect(
    split(lawn, [
      [50, 0],
      [50, 10],
    ]),
  ).toEqual({ ok: false, error: { kind: 'notAcross' } })
  const taped = document([part('add', 'rectangle', { length: '40', width: '20' }, 'm')], {
    instrument: 'wheel',
  })
  const [
    {
      at: [x, y],
    },
  ] = readSiteMap([{ id: 'a', name: 'Front', document: taped }], '2026-05-06').layout.labels as unknown as [
    { at: Point },
  ]
  const halves = split(taped, [
    [x, y - 50],
    [x, y + 50],
  ])
  expect(halves.ok && halves.value.map(([one]) => one?.outline?.origin)).toEqual([
    'cut from a rectangle',
    'cut from a rectangle',
  ])
  if (halves.ok) expect(sizeOf(halves.value[0]) + sizeOf(halves.value[1])).toBeCloseTo(800, 2)
})

test('merged: shared ground counts once, and what was paced stays paced', () => {
  const second = document(
    [
      outline('c', [
        [40, 0],
        [60, 0],
        [60, 20],
        [40, 20],
      ]),
    ],
    { instrument: 'paced' },
  )
  const both = mergedArea(lawn, second)
  expect(sizeOf(both.parts)).toBeCloseTo(1100, 6)
  expect(both.parts.at(-1)?.with).toEqual({ instrument: 'paced' })
  expect(both.instrument).toBe('tape')
})
