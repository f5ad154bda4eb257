import { expect, test } from 'vitest'
import { field } from '../../demo/typed'
import { readTable } from '../../test/support/readTable'
import { amountFactor } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import type { AmountUnit } from '../quantity/units'
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
          ({ pack, years, state }) =>
            `${pack.size.text} ${pack.size.unit} ${Number(years.toFixed(6))} ${state}`,
        )
        .join('; '),
    ).toBe(expected)
  },
)

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
