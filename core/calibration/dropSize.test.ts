import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import type { Entered } from '../quantity/entered'
import type { PressureUnit } from '../quantity/units'
import { DROP_SIZES, dropsAt, isFiner, pressureFor, type DropRow, type DropSize } from './dropSize'

const pressureOf = (text: string): Entered<PressureUnit> => {
  const [figure = '', unit = 'psi'] = text.split(' ')
  return { text: figure, unit: unit as PressureUnit }
}
const rowsOf = (text: string): readonly DropRow[] =>
  text.split(';').flatMap((one, i) => {
    const [figure, unit, ...size] = one.split(' ')
    return figure
      ? [{ id: `${i}`, pressure: pressureOf(`${figure} ${unit}`), size: size.join(' ') as DropSize }]
      : []
  })

test.each(readTable('drops.csv', import.meta.url))('$name: $words', (row) => {
  expect(dropsAt(rowsOf(row.rows ?? ''), pressureOf(row.pressure ?? '')) ?? '').toBe(row.size)
})

test('of two classes one is finer; a class is reached at the highest pressure that still gives it', () => {
  expect(DROP_SIZES.filter((size) => isFiner(size, 'medium'))).toEqual(['very fine', 'fine'])
  const rows = rowsOf('30 psi coarse;40 psi medium;60 psi fine')
  expect(pressureFor(rows, 'medium')?.pressure.text).toBe('40')
  expect(pressureFor(rows, 'very coarse')).toBe(undefined)
})
