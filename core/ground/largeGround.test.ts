import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { fieldReader } from '../quantity/fieldReader'
import { closedWorkingBook } from '../working/working'
import { blankPart } from './blankArea'
import type { FieldNotes, LawnPart } from './areaShape'
import { largeGround, workOutElsewhere, type LargeGround } from './largeGround'
import { rememberGround, workOutGround } from './workOutGround'
import type { Point, Ring } from './plane'
import { readFieldNotes } from './readFieldNotes'

const disc = (x: number, radius: number, corners: number): Ring =>
  Array.from({ length: corners }, (_, i): Point => {
    const at = (2 * Math.PI * i) / corners
    return [x + radius * Math.cos(at), radius * Math.sin(at)]
  })
const outlined = (points: Ring, sign: LawnPart['sign']): LawnPart => ({
  ...blankPart(`${sign} ${points.length}`, sign, 'outline', 'metric-100'),
  outline: { from: 'drawn', points, pointError: typed('3', 'm'), origin: '' },
})
const notesOf = (corners: number): FieldNotes => ({
  instrument: 'tape',
  parts: [outlined(disc(0, 20, corners), 'add'), outlined(disc(5, 5, corners), 'subtract')],
})
const read = (notes: FieldNotes) => {
  const fields = fieldReader()
  const place = { path: 'p', name: 'Front', figure: 'area.size', day: '2026-05-06' } as const
  return { ...readFieldNotes(notes, place, fields, closedWorkingBook), problems: fields.problems }
}

test('large ground waits for who works it out, then reads as if it had been worked out here', () => {
  const here = read(notesOf(800))
  const asked: LargeGround[] = []
  workOutElsewhere((ground) => asked.push(ground))

  expect(read(notesOf(300)).awaited).toBeUndefined()
  expect(asked).toHaveLength(0)

  const notes = notesOf(800)
  const waiting = read(notes)
  expect(waiting).toMatchObject({ awaited: true, size: undefined })
  expect(waiting.problems[0]?.message).toBe('The outlines of Front are being measured.')

  // Between threads everything is copied.
  const there = structuredClone(asked[0]!)
  rememberGround(asked[0]!, structuredClone(workOutGround(there)))
  expect(read(notes).size).toBe(here.size)
  expect(asked).toHaveLength(1)
})

test('a large outline that crosses itself is told with its place, and nothing is cut', () => {
  const knot: Ring = [...disc(0, 20, 1200), [0, -30], [30, 0]]
  const ground = largeGround({ instrument: 'tape', parts: [outlined(knot, 'add')] }, '2026-05-06')
  const worked = ground && workOutGround(ground)
  expect(worked?.crossings[0]?.length).toBeGreaterThan(0)
  expect(worked?.combined).toBeUndefined()
})
