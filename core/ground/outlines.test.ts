import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { field, typed } from '../../demo/typed'
import { fieldReader } from '../quantity/fieldReader'
import type { LengthUnit } from '../quantity/units'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import { blankPart } from './blankArea'
import { combineOutlines, polygonArea } from './combineOutlines'
import { crossings } from './crossings'
import { movedCorner, splitSide, withLeg, withSide } from './editOutline'
import type { LawnPart, OutlineNote } from './areaShape'
import { ringArea, sides, turned, type Point, type Ring } from './plane'
import { readFieldNotes } from './readFieldNotes'
import { simplify } from './simplify'

const L: Ring = [
  [0, 0],
  [30, 0],
  [30, 12],
  [18, 12],
  [18, 25],
  [0, 25],
]
const place = { path: 'p', name: 'Front', figure: 'lawns.a.size', day: '2026-05-06' } as const
const outlined = (
  points: Ring,
  sign: LawnPart['sign'] = 'add',
  outline: Partial<OutlineNote> = {},
): LawnPart => ({
  ...blankPart(String(points), sign, 'outline', 'metric-100'),
  outline: { from: 'drawn', points, pointError: typed('3', 'm'), origin: '', ...outline },
})
const measure = (parts: readonly LawnPart[], fields = fieldReader(), book = closedWorkingBook) =>
  readFieldNotes({ instrument: 'tape', parts }, place, fields, book)
const box = (x: number, y: number, w: number, h: number): Ring => [
  [x, y],
  [x + w, y],
  [x + w, y + h],
  [x, y + h],
]

test.each(readTable('outlines.csv', import.meta.url))('$name: $words', (row) => {
  const picture = { id: 'a', from: [0, 0], to: [240, 320], distance: typed('20', 'm') } as const
  const net = measure([
    outlined(L, 'add', {
      from: row.from as OutlineNote['from'],
      ...(row.pointError && { pointError: field<LengthUnit>(row.pointError) }),
      ...(row.picture && { picture }),
    }),
  ])
  expect(net.size).toBeCloseTo(figure(row, 'm2'), 9)
  expect(net.sd).toBeCloseTo(figure(row, 'sd'), 6)
})

test('exclusions that overlap count once; what lies beyond is told and not taken', () => {
  const book = openWorkingBook()
  const net = measure(
    [
      outlined(L),
      outlined(box(2, 2, 6, 6), 'subtract'),
      outlined(box(5, 5, 6, 6), 'subtract'),
      outlined(box(28, 8, 4, 2), 'subtract'),
      outlined(box(40, 0, 3, 3), 'subtract'),
    ],
    fieldReader(),
    book,
  )
  // 36 + 36 - 9 of the overlap, and 2 x 2 of the one that crosses the edge.
  expect(net.size).toBeCloseTo(594 - 63 - 4, 9)
  expect(net.strays.map(({ kind }) => kind)).toEqual(['crossing', 'outside'])
  expect(net.strays[1]?.message).toContain('lies outside the outline: nothing is taken')
  expect(book.pages()[0]?.lines.join('\n')).toContain('13 m2 of exclusions lie beyond the outline')
})

test('a self-crossing outline is refused with the crossing marked', () => {
  const fields = fieldReader()
  const tie: Ring = [
    [0, 0],
    [10, 10],
    [10, 0],
    [0, 10],
  ]
  expect(measure([outlined(tie)], fields).size).toBeUndefined()
  expect(fields.problems[0]).toMatchObject({ path: 'p.parts.0.outline', kind: 'wrong' })
  expect(fields.problems[0]?.message).toMatch(/side 1 and side 3, 5\.00 m east and 5\.00 m north/)
  expect(crossings(tie)[0]?.at).toEqual([5, 5])
  expect(
    crossings([
      [0, 0],
      [10, 0],
      [4, 0],
      [4, 5],
    ]),
  ).toHaveLength(2)
  expect(crossings(L)).toEqual([])
})

test('corners on one line, and too few of them, are told apart from ground', () => {
  const problems = (points: Ring) => {
    const fields = fieldReader()
    measure([outlined(points)], fields)
    return fields.problems.map(({ kind, message }) => `${kind}: ${message}`)
  }
  expect(problems([])).toEqual([expect.stringMatching(/^missing: Draw, walk or trace/)])
  expect(
    problems([
      [0, 0],
      [1, 0],
    ]),
  ).toEqual([expect.stringMatching(/^missing: .*at least three/)])
  expect(
    problems([
      [0, 0],
      [5, 5],
      [9, 9],
    ]),
  ).toEqual([expect.stringMatching(/^wrong: .*on one line/)])
})

test('an outlined bed in a lawn known by its dimensions is taken as it is', () => {
  const lawn = {
    ...blankPart('b', 'add', 'rectangle', 'metric-100'),
    lengths: { length: typed('40', 'm' as const), width: typed('20', 'm' as const) },
  }
  expect(measure([lawn, outlined(box(0, 0, 5, 4), 'subtract')]).size).toBeCloseTo(780, 9)
})

describe('properties', () => {
  const at = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }))
  const size = fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 40 }))
  const boxes = fc.array(
    fc.tuple(at, size).map(([[x, y], [w, h]]) => box(x, y, w, h)),
    { minLength: 1, maxLength: 7 },
  )
  const area = (added: readonly Ring[], taken: readonly Ring[]) => {
    const all = combineOutlines(added, taken)
    return all.ok ? polygonArea(all.value.net) : Number.NaN
  }

  test('a lawn is what is left and what was taken', () => {
    fc.assert(
      fc.property(boxes, boxes, (added, taken) => {
        const all = combineOutlines(added, taken)
        expect(all.ok).toBe(true)
        if (all.ok) expect(polygonArea(all.value.net) + all.value.taken).toBeCloseTo(all.value.added, 6)
        expect(area(added, [])).toBeLessThanOrEqual(
          added.reduce((sum, ring) => sum + ringArea(ring), 0) + 1e-6,
        )
        expect(area(added, taken)).toBeLessThanOrEqual(area(added, []) + 1e-6)
      }),
    )
  })

  test('turning and moving change no area; order does not count', () => {
    fc.assert(
      fc.property(boxes, fc.integer({ min: 0, max: 360 }), (added, degrees) => {
        expect(area(added.toReversed(), [])).toBeCloseTo(area(added, []), 6)
        // Outlines are cut on a grid of 0.1 mm, at worst of 1 mm.
        expect(
          Math.abs(
            area(
              added.map((ring) => ring.map((point) => turned(point, [100, -40], degrees))),
              [],
            ) - area(added, []),
          ),
        ).toBeLessThan(0.05)
      }),
    )
  })

  test('sides that lie on each other after a turn are still joined', () => {
    const touching = [box(0, -18, 1, 1), box(-20, -17, 38, 1)].map((ring) =>
      ring.map((point) => turned(point, [100, -40], 135)),
    )
    expect(area(touching, [])).toBeCloseTo(39, 1)
  })

  test('a typed side has its length, and leaves the other typed ones alone', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5 }),
        fc.double({ min: 1, max: 80, noNaN: true }),
        (index, length) => {
          const changed = sides(withSide(L, index, length))
          expect(changed[index]).toBeCloseTo(length, 2)
          const untouched = sides(L).map((side, i) =>
            i !== index && i !== 5 && !(index === 5 && i === 4) ? [changed[i], side] : [0, 0],
          )
          for (const [now, before] of untouched) expect(now).toBeCloseTo(before ?? 0, 2)
        },
      ),
    )
  })

  test('simplifying stays within its tolerance, and a corner in a side changes nothing', () => {
    const wavy = Array.from({ length: 400 }, (_, i): Point => [
      50 * Math.cos((i / 400) * 2 * Math.PI) + 0.1 * Math.sin(i * 7),
      30 * Math.sin((i / 400) * 2 * Math.PI),
    ])
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 3, noNaN: true }), (tolerance) => {
        const simple = simplify(wavy, tolerance)
        expect(simple.length).toBeLessThanOrEqual(wavy.length)
        expect(Math.abs(ringArea(simple) - ringArea(wavy))).toBeLessThan(tolerance * 260)
      }),
    )
    expect(ringArea(splitSide(L, 2))).toBeCloseTo(594, 9)
  })
})

test('legs typed side by side draw the outline', () => {
  const square = [10, 10, 10].reduce<Ring>((ring, length, i) => withLeg(ring, length, i === 0 ? 0 : 90), [])
  expect(square).toEqual([
    [0, 0],
    [0, 10],
    [10, 10],
    [10, 0],
  ])
  expect(movedCorner(square, 0, [1.23456, -2]).at(0)).toEqual([1.235, -2])
})
