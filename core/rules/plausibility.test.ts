import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { lawn, part, product, spraying, sprayerCourse, spreading } from '../../test/support/documents'
import { readTable } from '../../test/support/readTable'
import { workedWith } from '../../test/support/worked'
import type { RateUnit } from '../quantity/units'

/** `40 x 25` as a rectangle in feet; what stands behind a minus is taken away. */
const partsOf = (text: string) =>
  text.split(' - ').map((own, i) => {
    const [length = '', width = ''] = own.split(' x ')
    return part(i === 0 ? 'add' : 'subtract', 'rectangle', { length, width })
  })
const rateOf = (text: string) => {
  const [figure = '', ...unit] = text.split(' ')
  return typed(figure, unit.join(' ') as RateUnit)
}

/** The slips of these tables: a rule by its level and code, or the field that is wrong. */
test.each(readTable('plausibility.csv', import.meta.url))('$name: $words', (row) => {
  const { carrier = '', range = '', rate = '' } = row
  const method = carrier ? 'spray' : 'spread'
  const [figures = '', ...unit] = range.split(' ')
  const [low = '', high = ''] = figures.split('-')
  const limits = range
    ? { low: rateOf([low, ...unit].join(' ')), high: rateOf([high, ...unit].join(' ')) }
    : {}
  const lawns = [lawn('Front', partsOf(row.lawn ?? ''))]
  const products = [product('Granule', method, { rate: rateOf(rate), ...limits })]
  // A course of 100 ft by 10 ft is 1,000 ft2: what it took is the carrier.
  const course = sprayerCourse('2026-05-01', typed('100', 'ft'), typed('10', 'ft'), '3', [
    typed(carrier || '1', 'gal'),
  ])
  const draft =
    method === 'spray'
      ? spraying(lawns, products, { calibration: course, tank: typed('5', 'gal') })
      : spreading(lawns, products, {})
  const { checks, problems } = workedWith(draft, '2026-05-06')
  const slips = /^(stop rate-other|warn rate-unlikely|warn lawn-unlikely|warn carrier|stop products-fill)/
  const found = [
    ...problems
      .filter(({ message }) => /no label gives|no lawn is that large/.test(message))
      .map(({ path }) => `wrong ${path}`),
    ...checks.map(({ level, code }) => `${level} ${code}`).filter((told) => slips.test(told)),
  ]
  expect(found.join('; ')).toBe(row.finds)
})

test('a swapped unit offers the rate as it was meant, in the unit that fits', () => {
  const swapped = (rate: string) => {
    const draft = spreading(
      [lawn('Front', partsOf('40 x 25'))],
      [
        product('Granule', 'spread', {
          rate: rateOf(rate),
          low: rateOf('2 lb/1000 ft2'),
          high: rateOf('4 lb/1000 ft2'),
        }),
      ],
      {},
    )
    const found = workedWith(draft, '2026-05-06').checks.find(({ code }) => code === 'rate-other-area-unit')
    return found?.remedies[0]
  }
  expect(swapped('130.68 lb/1000 ft2')).toMatchObject({
    path: 'products.0.rate',
    value: { text: '130.7', unit: 'lb/ac' },
  })
  expect(swapped('3 lb/ac')).toMatchObject({ value: { text: '3.00', unit: 'lb/1000 ft2' } })
})
