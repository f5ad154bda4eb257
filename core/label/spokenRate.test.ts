import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { SQUARE_METRES_PER } from '../quantity/units'
import { spokenRate } from './spokenRate'

test.each(readTable('spokenRate.csv', import.meta.url))('$text: $words', (row) => {
  const read = spokenRate(row.text ?? '', figure(row, 'ground') * SQUARE_METRES_PER.ft2, 'us-1000', 'dry')
  if (!row.rate) return expect(read.ok).toBe(false)
  if (!read.ok) throw new Error(read.error)
  const { rate, basis } = read.value
  expect(Number(rate.text)).toBeCloseTo(Number(row.rate.split(' ')[0]), 4)
  expect(`${rate.unit} ${basis ?? ''}`.trim()).toBe(
    `${row.rate.slice(row.rate.indexOf(' ') + 1)} ${row.basis}`.trim(),
  )
})
