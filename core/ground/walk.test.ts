import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { typed } from '../../demo/typed'
import { fieldReader } from '../quantity/fieldReader'
import type { LengthUnit, SpanUnit } from '../quantity/units'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import { blankPart } from './blankArea'
import { ringArea } from './plane'
import { readFieldNotes } from './readFieldNotes'
import { crossings } from './crossings'
import { withoutSmallLoops } from './cutLoops'
import { samplePoints } from './samplePoints'
import { simplify } from './simplify'
import { simulatedWalk, TRIAL_LAWN } from '../simulated/simulatedWalk'
import { readTapedCourse, type ToolReading } from './toolCourse'
import type { TapedCourse } from './tapedCourse'
import {
  EMPTY_TRACK,
  meanPointError,
  outlineOf,
  withCorner,
  withFix,
  withoutLastCorner,
  type WalkTrack,
} from './walkTrack'

const anchor = { lat: 39.02, lon: -76.41, bearing: 0 }
const place = { path: 'p', name: 'Front', figure: 'lawns.a.size', day: '2026-05-06' } as const
const course = (
  distance: string,
  unit: LengthUnit,
  reads: string,
  kind: ToolReading['kind'],
): TapedCourse => ({
  distance: typed(distance, unit),
  on: '2026-03-12',
  runs: reads.split(' ').map((read, i) => ({
    id: String(i),
    read: typed(read, (kind === 'stride' ? 'paces' : unit) as SpanUnit),
  })),
})

test.each(readTable('tapedCourse.csv', import.meta.url))('$name: $words', (row) => {
  const kind = row.kind as ToolReading['kind']
  const tool = readTapedCourse(
    course(row.distance ?? '', row.unit as LengthUnit, row.reads ?? '', kind),
    kind,
    'p',
    fieldReader(),
    'lawns.a.size',
    closedWorkingBook,
  )
  expect(tool?.runs.mean).toBeCloseTo(figure(row, 'mean'), 10)
  expect(tool?.spread).toBeCloseTo(figure(row, 'spread'), 10)
  expect(tool?.scale).toBeCloseTo(figure(row, 'scale'), 10)
  expect(tool?.length).toBeCloseTo(figure(row, 'length'), 10)
})

test('paces become lengths by the stride they were frozen with', () => {
  const part = {
    ...blankPart('a', 'add', 'rectangle', 'us-1000'),
    lengths: { length: typed('40', 'paces' as const), width: typed('12', 'paces' as const) },
  }
  const tool = { id: 't', version: 3, name: 'Stride', course: course('100', 'ft', '40 40 40', 'stride') }
  const book = openWorkingBook()
  // 2.5 ft a pace: 100 ft by 30 ft.
  const measured = readFieldNotes({ instrument: 'paced', tool, parts: [part] }, place, fieldReader(), book)
  expect(measured.size).toBeCloseTo(3000 * 0.3048 ** 2, 9)
  expect(book.pages()[0]?.lines.join('\n')).toMatch(
    /40 paces x 2\.5 ft = 30\.48 m[\s\S]*scale of Stride \(2\.50 ft a pace, 3 runs within 0\.0 %\)/,
  )
  const fields = fieldReader()
  expect(
    readFieldNotes({ instrument: 'paced', parts: [part] }, place, fields, closedWorkingBook).size,
  ).toBeUndefined()
  expect(fields.problems[0]).toMatchObject({
    path: 'p.parts.0.lengths.length',
    message: expect.stringContaining('Paces need a stride'),
  })
})

const walked = (seed: number): WalkTrack =>
  simulatedWalk(TRIAL_LAWN, anchor, 1.3, seed).reduce(
    (track, fix) => withFix(track, fix, anchor),
    EMPTY_TRACK,
  )

test('a simulated walk is repeatable; its give or take holds the truth as often as it says', () => {
  expect(simulatedWalk(TRIAL_LAWN, anchor, 1.3, 7)).toEqual(simulatedWalk(TRIAL_LAWN, anchor, 1.3, 7))
  const held = Array.from({ length: 200 }, (_, i) => {
    const track = walked(i + 1)
    const outline = {
      from: 'walked' as const,
      points: withoutSmallLoops(simplify(outlineOf(track, 'track'), 0.5)).ring,
      pointError: typed(String(meanPointError(track)), 'm' as const),
      origin: '',
    }
    const { size, sd } = readFieldNotes(
      { instrument: 'tape', parts: [{ ...blankPart('a', 'add', 'outline', 'us-1000'), outline }] },
      place,
      fieldReader(),
      closedWorkingBook,
    )
    return size === undefined || sd === undefined
      ? undefined
      : Math.abs(size - ringArea(TRIAL_LAWN)) <= 2 * sd
  })
  // A loop too long for a wobble is told, not measured: it must be rare.
  expect(held.filter((one) => one === undefined).length).toBeLessThanOrEqual(4)
  expect(held.filter(Boolean).length).toBeGreaterThanOrEqual(180)
  expect(held.filter(Boolean).length).toBeLessThan(200)
})

test('a small loop is cut off where it crosses, a large one is left to be told', () => {
  const looped = [
    [0, 0],
    [40, 0],
    [40, 30],
    [1, 30],
    [1, -2],
    [3, -2],
    [3, 2],
  ] as const
  const { ring, cut } = withoutSmallLoops(looped)
  expect(cut).toBeGreaterThan(0)
  expect(crossings(ring)).toEqual([])
  expect(ringArea(ring)).toBeGreaterThan(1150)
  const tie = [
    [0, 0],
    [40, 40],
    [40, 0],
    [0, 40],
  ] as const
  expect(withoutSmallLoops(tie)).toEqual({ ring: tie, cut: 0 })
})

test('the last corner is undone back to the one before; poor positions are refused and counted', () => {
  const fixes = simulatedWalk(TRIAL_LAWN, anchor, 1.3, 3)
  const upTo = (track: WalkTrack, from: number, to: number) =>
    withCorner(fixes.slice(from, to).reduce((sum, fix) => withFix(sum, fix, anchor), track))
  const one = upTo(EMPTY_TRACK, 0, 20)
  const two = upTo(one, 20, 40)
  expect(withoutLastCorner(two)).toMatchObject({ points: one.points, corners: one.corners })
  expect(withoutLastCorner(withoutLastCorner(two)).points).toEqual([])
  expect(withFix(one, { ...fixes[0]!, accuracy: 80 }, anchor)).toMatchObject({
    points: one.points,
    refused: 1,
  })
  expect(outlineOf(upTo(two, 40, 60), 'corners')).toHaveLength(3)
})

test('soil samples: as many as asked, inside, the same from the same seed, spread over equal pieces', () => {
  const ground = [
    [
      TRIAL_LAWN,
      [
        [5, 5],
        [9, 5],
        [9, 9],
        [5, 9],
      ],
    ],
  ] as const
  for (const count of [10, 13, 20]) {
    const points = samplePoints(ground, count, 42)
    expect(points).toHaveLength(count)
    expect(points).toEqual(samplePoints(ground, count, 42))
    expect(points.some(([x, y]) => x > 5 && x < 9 && y > 5 && y < 9)).toBe(false)
  }
  expect(samplePoints(ground, 12, 1)).not.toEqual(samplePoints(ground, 12, 2))
  // One strip of three holds a third of the points, whatever the draw.
  expect(
    samplePoints(
      [
        [
          [
            [0, 0],
            [30, 0],
            [30, 10],
            [0, 10],
          ],
        ],
      ],
      12,
      5,
    ).filter(([x]) => x < 10.2),
  ).toHaveLength(4)
  expect(samplePoints([], 12, 1)).toEqual([])
})
