import { expect, test } from 'vitest'
import { field, typed } from '../../demo/typed'
import { figure, readTable } from '../../test/support/readTable'
import { amountFactor } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import type { AmountUnit } from '../quantity/units'
import { bestSet } from './bestSet'
import { packageChoice, usedInYear } from './packageChoice'
import { packagesToTake } from './packagesToTake'

test.each(readTable('packageChoice.csv', import.meta.url))(
  '$packages for $need: $words',
  ({ packages = '', need = '', shelf = '', expect: expected = '' }) => {
    const [value, unit = 'lb'] = need.split(' ')
    const rows = packageChoice(
      packages.split(';').map((text, i) => {
        const words = text.split(' ')
        return {
          id: String(i),
          size: field<AmountUnit>(words.slice(0, -1).join(' ')),
          price: words.at(-1) ?? '',
        }
      }),
      {
        dimension: dimensionOf(unit as AmountUnit),
        amount: Number(value) * amountFactor(unit as AmountUnit),
      },
      shelf ? Number(shelf) : undefined,
    )
    expect(
      rows
        .map(
          ({ pack, perYear, end, state }) =>
            `${pack.size.text} ${pack.size.unit} ${Number(perYear.toFixed(6))} ${end} ${state}`,
        )
        .join('; '),
    ).toBe(expected)
  },
)

test.each(readTable('bestSet.csv', import.meta.url))('best set, $name: $packages for $need', (row) => {
  const onSale = (row.packages ?? '').split(';').map((text, i) => {
    const [size = '', price = ''] = text.split(' ')
    const pack = { id: String(i), size: typed(size, 'lb' as const), price }
    return { pack, size: Number(size), price: price ? Number(price) : undefined }
  })
  const set = bestSet(onSale, figure(row, 'need'))
  const told = set?.packs.toSorted((a, b) => Number(b.pack.size.text) - Number(a.pack.size.text))
  expect(told?.map(({ pack, count }) => `${count} x ${pack.size.text}`).join(' + ')).toBe(row.set)
  expect(set?.over).toBeCloseTo(figure(row, 'over'), 9)
  if (row.cost === '') expect(set?.cost).toBeUndefined()
  else expect(set?.cost).toBeCloseTo(figure(row, 'cost'), 9)
})

test('what a year takes is what jobs used in the twelve months to the day', () => {
  const used = (on: string, amount: number, kind: 'used' | 'received' = 'used') => ({
    kind,
    dimension: 'mass' as const,
    amount,
    on,
  })
  expect(
    usedInYear(
      [
        used('2025-05-06', -5),
        used('2025-05-07', -3),
        used('2026-05-06', -2),
        used('2026-05-07', -9),
        used('2026-01-01', 40, 'received'),
      ],
      '2026-05-06',
    ),
  ).toEqual({ dimension: 'mass', amount: 5 })
  expect(usedInYear([used('2026-01-01', 40, 'received')], '2026-05-06')).toBeUndefined()
})

test.each([
  ['60 of 113 in bags of 50: the open one with 13, then 47 of a full one', 60, 113, { open: 13, full: 1 }],
  ['13 of 113: the open one is just enough', 13, 113, { open: 13, full: 0 }],
  ['13.1 of 113: a tenth more opens another', 13.1, 113, { open: 13, full: 1 }],
  ['100 of 100: none is open, both go', 100, 100, { open: 0, full: 2 }],
  ['63 of 113: the open one and a whole one, no third', 63, 113, { open: 13, full: 1 }],
  ['more than there is', 113.1, 113, undefined],
] as const)('packages to take, %s', (_, need, onHand, expected) => {
  expect(packagesToTake(need, onHand, 50)).toEqual(expected)
})
