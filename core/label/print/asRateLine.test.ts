import { expect, test } from 'vitest'
import { typed } from '../../../demo/typed'
import { fieldReader } from '../../quantity/fieldReader'
import { blankRateLine } from '../blankProduct'
import { readLine } from '../read/readLine'
import { asRateLine } from './asRateLine'
import { readLabel } from './readLabel'

const [range] = readLabel('3-6 fl oz per 1,000 sq ft', 'liquid').lines
const line = blankRateLine('line', 'granule', 'us-1000')
const problems = (rate: string) => {
  const filled = asRateLine(range!, { ...line, rate: typed(rate, line.rate.unit) })
  const fields = fieldReader()
  readLine(filled, 'lines.0', fields)
  return { filled, paths: fields.problems.map(({ path }) => path) }
}

test('a range put in asks the blank usual rate in its own unit', () => {
  expect(line.rate.unit).toBe('lb/1000 ft2')
  const { filled, paths } = problems('')
  expect([filled.rate.unit, filled.most.unit, filled.year.unit]).toEqual(
    Array.from({ length: 3 }, () => 'fl oz/1000 ft2'),
  )
  expect(paths).toEqual([])
})

test('a usual rate by weight beside a range by volume is refused at its field, and stays as typed', () => {
  const { filled, paths } = problems('4')
  expect(filled.rate).toEqual(typed('4', 'lb/1000 ft2'))
  expect(paths).toEqual(['lines.0.rate'])
})
