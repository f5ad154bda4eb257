import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { quantity } from '../quantity/quantity'
import type { AreaUnit, LengthUnit } from '../quantity/units'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import { netArea, type GroundPart, type Instrument } from './netArea'
import { sketchLayout } from './sketchLayout'
import { SHAPE_KINDS, SHAPE_LENGTHS, type ShapeKind } from './shapes'

/** '+rectangle 71x38.5 ft;-triangle 14x11 ft' as the table writes it. */
function partsOf(text: string): GroundPart[] {
  return text.split(';').map((part) => {
    const [, sign = '+', kind = '', figures = '', unit = ''] = /^([+-])(\w+) ([\dx.]+) (\S+)$/.exec(part) ?? []
    const values = figures.split('x').map(Number)
    const head = { sign: sign === '+' ? 'add' : 'subtract' } as const
    return kind === 'known'
      ? { ...head, kind, size: quantity(values[0] ?? 0, unit as AreaUnit) }
      : { ...head, kind: kind as ShapeKind, lengths: values.map((value) => quantity(value, unit as LengthUnit)) }
  })
}

test.each(readTable('netArea.csv', import.meta.url))('$name: $words', (row) => {
  const net = netArea(partsOf(row.parts ?? ''), row.instrument as Instrument, 'size', closedWorkingBook)
  expect(net.ok && net.value.size).toBeCloseTo(figure(row, 'm2'), 8)
  expect(net.ok && net.value.sd).toBeCloseTo(figure(row, 'sd'), 8)
})

test('a bed larger than its lawn is refused with both sizes', () => {
  const net = netArea(partsOf('+rectangle 20x10 m;-known 40 ac'), 'tape', 'size', closedWorkingBook)
  expect(net).toMatchObject({ ok: false, error: { kind: 'exclusionsTooLarge', added: 200 } })
})

test('the working quotes the inputs and ends with the figure', () => {
  const book = openWorkingBook()
  netArea(partsOf('+rectangle 71x38.5 ft;-triangle 14x11 ft'), 'tape', 'lawns.a.size', book)
  const [page] = book.pages()
  expect(page?.figure).toBe('lawns.a.size')
  expect(page?.lines[0]).toContain('length 71 ft, width 38.5 ft')
  expect(page?.lines.at(-1)).toBe('net area 2656.5 ft2 = 246.797 m2')
})

describe('properties', () => {
  const length = fc.double({ min: 0.5, max: 500, noNaN: true })
  const shape = fc
    .constantFrom(...SHAPE_KINDS)
    .chain((kind) =>
      fc.tuple(
        fc.constant(kind),
        fc.array(length, { minLength: SHAPE_LENGTHS[kind].length, maxLength: SHAPE_LENGTHS[kind].length }),
      ),
    )
  const part = ([kind, lengths]: [ShapeKind, number[]], scale = 1): GroundPart => ({
    sign: 'add',
    kind,
    lengths: lengths.map((value) => quantity(value * scale, 'm')),
  })
  const sizeOf = (parts: GroundPart[]) => {
    const net = netArea(parts, 'tape', '', closedWorkingBook)
    return net.ok ? net.value : { size: 0, sd: 0 }
  }

  test('twice every length is four times the area', () => {
    fc.assert(
      fc.property(shape, (one) => {
        expect(sizeOf([part(one, 2)]).size / sizeOf([part(one)]).size).toBeCloseTo(4, 9)
      }),
    )
  })

  test('areas of parts sum, and taking one away again leaves the other', () => {
    fc.assert(
      fc.property(shape, shape, (a, b) => {
        const together = sizeOf([part(a), part(b)]).size
        expect(together).toBeCloseTo(sizeOf([part(a)]).size + sizeOf([part(b)]).size, 6)
        expect(sizeOf([part(a), part(b), { ...part(b), sign: 'subtract' }]).size).toBeCloseTo(sizeOf([part(a)]).size, 6)
      }),
    )
  })

  test('the slopes are those of the areas', () => {
    fc.assert(
      fc.property(shape, ([kind, lengths]) => {
        const readings = sizeOf([part([kind, lengths])])
        const step = 1e-4
        const numeric = lengths.map(
          (_, i) =>
            (sizeOf([part([kind, lengths.map((value, j) => (i === j ? value + step : value))])]).size - readings.size)
            / step,
        )
        const variance = numeric.reduce((sum, slope) => sum + (slope * 0.02) ** 2, 0)
        expect(Math.sqrt((0.01 * readings.size) ** 2 + variance) / readings.sd).toBeCloseTo(1, 3)
      }),
    )
  })

  test('a sketch keeps to its box and to one scale', () => {
    fc.assert(
      fc.property(fc.array(shape, { minLength: 1, maxLength: 5 }), (shapes) => {
        const layout = sketchLayout(
          shapes.map((one, i) => ({ name: `lawn ${i}`, parts: [part(one)] })),
          365,
          185,
        )
        expect(layout.shapes).toHaveLength(shapes.length)
        const xs = layout.shapes.flatMap((one) =>
          one.kind === 'ellipse'
            ? [one.cx - one.rx, one.cx + one.rx]
            : one.points.split(' ').map((point) => Number(point.split(',')[0])),
        )
        expect(Math.min(...xs)).toBeGreaterThanOrEqual(-0.1)
        expect(Math.max(...xs)).toBeLessThanOrEqual(365.1)
        expect(layout.height).toBeLessThanOrEqual(185)
      }),
    )
  })
})
