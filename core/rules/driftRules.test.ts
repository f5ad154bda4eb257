import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { lawn, part, spraying, spreading, sprayerCourse } from '../../test/support/documents'
import { readTable } from '../../test/support/readTable'
import { EMPTY_LIBRARY, workedWith } from '../../test/support/worked'
import type { DropRow, DropSize } from '../calibration/dropSize'
import { blankLanes } from '../draft/blankApplication'
import { noteFromLabel } from '../draft/fromLibrary'
import { blankProductDocument } from '../label/blankProduct'
import type { PressureUnit, SpeedUnit } from '../quantity/units'

const DAY = '2026-05-06'
const entered = <U extends string>(text: string, blank: U) => {
  const [figure = '', unit = blank] = text.split(' ')
  return typed(figure, unit as U)
}
const rowsOf = (text: string): readonly DropRow[] =>
  text.split(';').flatMap((one, i) => {
    const [figure = '', unit = '', ...size] = one.split(' ')
    const pressure = typed(figure, unit as PressureUnit)
    return figure ? [{ id: `${i}`, pressure, size: size.join(' ') as DropSize }] : []
  })

test.each(readTable('drift.csv', import.meta.url))('$name: $words', (row) => {
  const blank = blankProductDocument('line', 'us-1000')
  const [first] = blank.lines
  const rate = row.method === 'spray' ? typed('3', 'fl oz/1000 ft2') : typed('3', 'lb/1000 ft2')
  const form = row.method === 'spray' ? ('solution' as const) : ('granule' as const)
  const line = {
    ...first!,
    rate,
    drops: (row.drops ?? '') as DropSize | '',
    ...(row.most && { figures: { windMost: entered<SpeedUnit>(row.most, 'mph') } }),
  }
  const product = { id: 'p', version: 1, name: 'Stuff', document: { ...blank, form, lines: [line] } }
  const note = noteFromLabel(product, line, 'note', typed('1', row.method === 'spray' ? 'fl oz' : 'oz'))
  const lawns = [lawn('Front', [part('add', 'rectangle', { length: '40', width: '25' })])]
  const dry = spreading(lawns, [note], {})
  const wet = spraying(lawns, [note], {})
  const document =
    row.method === 'spray'
      ? {
          ...wet,
          spray: {
            ...wet.spray,
            tank: typed('4', 'gal'),
            nozzles: { what: '', fitted: '', drops: rowsOf(row.rows ?? '') },
            calibration: {
              ...sprayerCourse('2026-05-01', typed('100', 'ft'), typed('5', 'ft'), '3', [typed('1', 'gal')]),
              pressure: entered<PressureUnit>(row.pressure ?? '', 'psi'),
            },
          },
        }
      : dry
  const lanes = { ...blankLanes('us-1000'), wind: entered<SpeedUnit>(row.wind ?? '', 'mph') }
  const worked = workedWith({ ...document, lanes }, DAY, {
    library: { ...EMPTY_LIBRARY, products: [product] },
  })
  const found = worked.checks.filter(({ code }) => /^(wind|drops)/.test(code))
  expect(found.map(({ level, code }) => `${level} ${code}`).join(', ')).toBe(row.expect)
})
