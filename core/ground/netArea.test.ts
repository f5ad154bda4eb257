import fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { typed } from '../../demo/typed'
import { fieldReader } from '../quantity/fieldReader'
import type { AreaUnit, LengthUnit } from '../quantity/units'
import { closedWorkingBook, openWorkingBook, type WorkingBook } from '../working/working'
import { blankPart } from './blankArea'
import type { LawnPart } from './areaShape'
import type { Instrument } from './instruments'
import { METHODS, type MethodName } from './methods/methods'
import { siteLayout } from './siteLayout'
import { readFieldNotes } from './readFieldNotes'
import { sketchLayout } from './sketchLayout'

/** '+rectangle 71x38.5 ft;-triangle 14x11 ft' as the table writes it. */
function partsOf(text: string): LawnPart[] {
  return text.split(';').map((words, i) => {
    const [, sign = '+', shape = '', figures = '', unit = ''] =
      /^([+-])(\w+) ([\dx.]+) (\S+)$/.exec(words) ?? []
    const part = blankPart(
      String(i),
      sign === '+' ? 'add' : 'subtract',
      shape as MethodName | 'known',
      'us-1000',
    )
    if (shape === 'known') return { ...part, size: typed(figures, unit as AreaUnit) }
    const values = figures.split('x')
    return {
      ...part,
      lengths: Object.fromEntries(
        METHODS[shape as MethodName].fixed.map((name, j) => [
          name,
          typed(values[j] ?? '', unit as LengthUnit),
        ]),
      ),
    }
  })
}

const measure = (
  text: string,
  instrument: Instrument = 'tape',
  fields = fieldReader(),
  book: WorkingBook = closedWorkingBook,
) =>
  readFieldNotes(
    { instrument, parts: partsOf(text) },
    { path: 'p', name: 'Front', figure: 'lawns.a.size', day: '2026-05-06' },
    fields,
    book,
  )

test.each(readTable('netArea.csv', import.meta.url))('$name: $words', (row) => {
  const net = measure(row.parts ?? '', row.instrument as Instrument)
  expect(net.size).toBeCloseTo(figure(row, 'm2'), 8)
  expect(net.sd).toBeCloseTo(figure(row, 'sd'), 8)
})

test('a bed larger than its lawn is refused with both sizes', () => {
  const fields = fieldReader()
  expect(measure('+rectangle 20x10 m;-known 40 ac', 'tape', fields).size).toBeUndefined()
  expect(fields.problems[0]).toMatchObject({ path: 'p.parts.1', kind: 'wrong' })
  expect(fields.problems[0]?.message).toMatch(/1,742,400 ft².*2,150 ft²/)
})

test('the working quotes the inputs, says flat, gives the honest formula and ends with the figure', () => {
  const book = openWorkingBook()
  measure('+rectangle 71x38.5 ft;-triangle 14x11 ft', 'tape', fieldReader(), book)
  const [page] = book.pages()
  expect(page?.figure).toBe('lawns.a.size')
  expect(page?.lines[0]).toContain('length 71 ft, width 38.5 ft')
  expect(page?.lines.join('\n')).toMatch(
    /flat area[\s\S]*scale of the tape, 0.5 %[\s\S]*root of the sum of squares/,
  )
  expect(page?.lines.at(-1)).toBe('net area 2656.5 ft2 = 246.797 m2')
})

test('a sketch keeps to its box and to one scale', () => {
  const side = fc.integer({ min: 1, max: 300 })
  fc.assert(
    fc.property(fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 5 }), (boxes) => {
      const lawns = boxes.map(([a, b], i) => ({
        id: String(i),
        name: `lawn ${i}`,
        parts: measure(`+rectangle ${a}x${b} m`).parts,
        places: new Map(),
      }))
      const { shapes, height, scale } = sketchLayout(siteLayout(lawns), { width: 365, height: 185 })
      expect(shapes).toHaveLength(boxes.length)
      const widths = shapes.map(({ points }) => {
        const corners = points.split(' ').map((point) => point.split(',').map(Number))
        const [xs, ys] = [corners.map(([x]) => x ?? 0), corners.map(([, y]) => y ?? 0)]
        expect(Math.min(...xs)).toBeGreaterThanOrEqual(0)
        expect(Math.max(...xs)).toBeLessThanOrEqual(365)
        expect(Math.max(...ys)).toBeLessThanOrEqual(height)
        return Math.max(...xs) - Math.min(...xs)
      })
      const wanted = boxes.map(([a]) => a * scale).toSorted((a, b) => a - b)
      widths.toSorted((a, b) => a - b).forEach((width, i) => expect(width).toBeCloseTo(wanted[i] ?? 0, 0))
      expect(height).toBeLessThanOrEqual(185)
    }),
  )
})
