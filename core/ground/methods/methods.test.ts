import type { MeasuringRule } from './method'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../../test/support/readTable'
import { typed } from '../../../demo/typed'
import { fieldReader } from '../../quantity/fieldReader'
import type { LengthUnit, SpanUnit } from '../../quantity/units'
import { closedWorkingBook, openWorkingBook } from '../../working/working'
import { blankPart } from '../blankArea'
import type { LawnPart } from '../areaShape'
import { ringArea } from '../plane'
import { readFieldNotes } from '../readFieldNotes'
import { betweenVariance } from './betweenReadings'
import { radiiForms } from './listMethods'
import { METHOD_NAMES, METHODS, slopesOf, type MethodName } from './methods'

const place = { path: 'p', name: 'Front', figure: 'lawns.a.size', day: '2026-05-06' } as const

/** Field notes of one part as a row of the table writes it. */
function partOf(row: Record<string, string>): LawnPart {
  const unit = row.unit as LengthUnit
  const blank = blankPart('a', 'add', row.shape as MethodName, 'us-1000')
  const lengths = Object.fromEntries(
    (row.readings ?? '')
      .split(';')
      .filter(Boolean)
      .map((one) => one.split('='))
      .map(([name, text]) => [name, typed(text ?? '', unit as SpanUnit)]),
  )
  return {
    ...blank,
    lengths,
    ...(row.list && { list: row.list.split(' ').map((text) => typed(text, unit as SpanUnit)) }),
    ...(row.rule && { rule: row.rule as MeasuringRule }),
    ...(row.angle && { angle: typed(row.angle, '°' as const) }),
  }
}

test.each(readTable('methods.csv', import.meta.url))('$name: $words', (row) => {
  const fields = fieldReader()
  const measured = readFieldNotes(
    { instrument: 'tape', parts: [partOf(row)] },
    place,
    fields,
    closedWorkingBook,
  )
  expect(fields.problems).toEqual([])
  expect(measured.size).toBeCloseTo(figure(row, 'm2'), 8)
})

test.each([
  ['three sides that can’t meet', 'three sides', 'first=10;second=4;third=6', '', '', 'can’t close'],
  ['a ring inside out', 'ring', 'outer=10;inner=10', '', '', 'less than the outer'],
  ['Simpson with an even number of widths', 'offsets', 'spacing=5', '1 2 3 4', 'simpson', 'odd number'],
  ['triangles that lack a side', 'triangles', '', '3 4 5 6', '', '1.33333 of them'],
  ['the second triangle open', 'triangles', '', '3 4 5 9 4 5', '', 'Triangle 2'],
  ['widths that are all nought', 'offsets', 'spacing=5', '0 0 0', 'interval', 'above zero'],
] as const)('%s: refused with what would be right', (_, shape, readings, list, rule, words) => {
  const fields = fieldReader()
  const measured = readFieldNotes(
    { instrument: 'tape', parts: [partOf({ shape, unit: 'm', readings, list, rule })] },
    place,
    fields,
    closedWorkingBook,
  )
  expect(measured.size).toBeUndefined()
  expect(fields.problems[0]?.message).toContain(words)
})

test('the working of radii shows all three forms, the one for old notes low by pi times the variance', () => {
  const forms = radiiForms([31, 33.5, 30, 28])
  const mean = (31 + 33.5 + 30 + 28) / 4
  const variance = [31, 33.5, 30, 28].reduce((sum, radius) => sum + (radius - mean) ** 2, 0) / 4
  expect(forms.rounded - forms['old notes']).toBeCloseTo(Math.PI * variance, 9)
  const book = openWorkingBook()
  readFieldNotes(
    {
      instrument: 'tape',
      parts: [partOf({ shape: 'radii', unit: 'm', readings: '', list: '31 33.5 30 28', rule: 'rounded' })],
    },
    place,
    fieldReader(),
    book,
  )
  expect(book.pages()[0]?.lines[0]).toMatch(/rounded 2958\.79, straight .*reads low/)
})

describe('properties', () => {
  const length = fc.double({ min: 2, max: 60, noNaN: true })
  /** Readings that make ground, whatever the method: sides near each other close every triangle. */
  const near = fc.double({ min: 20, max: 30, noNaN: true })
  const readings = fc.constantFrom(...METHOD_NAMES).chain((name) => {
    const { fixed, list, rules } = METHODS[name]
    const sides = name === 'triangles' || name === 'four sides and diagonal' || name === 'three sides'
    return fc.record({
      name: fc.constant(name),
      angle: fc.double({ min: 0.3, max: 2.8, noNaN: true }),
      rule: fc.constantFrom('', ...(rules ?? []).map(({ rule }) => rule)),
      fixed:
        name === 'ring'
          ? fc.tuple(
              near,
              length.map((one) => one / 6),
            )
          : fc.array(sides ? near : length, { minLength: fixed.length, maxLength: fixed.length }),
      list: list ? fc.array(sides ? near : length, { minLength: 9, maxLength: 9 }) : fc.constant([]),
    })
  })
  const filled = <R extends { name: MethodName; rule: string }>(one: R) => ({
    ...one,
    rule: one.rule || (METHODS[one.name].rules?.[0]?.rule ?? ''),
  })

  test('twice every length is four times the area', () => {
    fc.assert(
      fc.property(readings.map(filled), ({ name, ...one }) => {
        const doubled = (values: readonly number[]) => values.map((value) => 2 * value)
        const twice = { ...one, fixed: doubled(one.fixed), list: doubled(one.list) }
        expect(METHODS[name].area(twice) / METHODS[name].area(one)).toBeCloseTo(4, 9)
      }),
    )
  })

  test(
    'areas grow with their lengths as the slopes say: by Euler, lengths times slopes come to twice the ' +
      'area',
    () => {
      fc.assert(
        fc.property(readings.map(filled), ({ name, ...one }) => {
          const { lengths } = slopesOf(METHODS[name], one)
          const euler = [...one.fixed, ...one.list].reduce(
            (sum, value, i) => sum + value * (lengths[i] ?? 0),
            0,
          )
          expect(euler / (2 * METHODS[name].area(one))).toBeCloseTo(1, 5)
        }),
      )
    },
  )

  test('what is drawn is as large as what is told, where the outline is straight', () => {
    const straight = readings
      .map(filled)
      .filter(
        ({ name, rule }) =>
          !/circle|ellipse|sector|ring/.test(name) &&
          rule !== 'rounded' &&
          rule !== 'simpson' &&
          rule !== 'interval',
      )
    fc.assert(
      fc.property(straight, ({ name, ...one }) => {
        const drawn = METHODS[name].rings(one).reduce((sum, ring) => sum + ringArea(ring), 0)
        const told = METHODS[name].area(one)
        // Two equal triangles on one side of their diagonal leave no ground: nothing is drawn for nothing.
        expect(Math.abs(drawn - told)).toBeLessThanOrEqual(1e-9 * Math.max(1, told))
      }),
    )
  })
})

test.each(readTable('betweenReadings.csv', import.meta.url))('between readings, $name: $words', (row) => {
  const readings = (row.readings ?? '').split(';').map(Number)
  const course = row.course === 'round' ? 'round' : 'open'
  expect(betweenVariance(readings, figure(row, 'step'), course)).toBeCloseTo(figure(row, 'variance'), 10)
})
