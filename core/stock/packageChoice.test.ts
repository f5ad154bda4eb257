import { expect, test } from 'vitest'
import { field } from '../../demo/typed'
import { readTable } from '../../test/support/readTable'
import { amountFactor } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import type { AmountUnit } from '../quantity/units'
import { packageChoice, usedInYear } from './packageChoice'

test.each(readTable('packageChoice.csv', import.meta.url))('$packages for $need: $words', ({ packages = '', need = '', shelf = '', expect: expected = '' }) => {
  const [value, unit = 'lb'] = need.split(' ')
  const rows = packageChoice(packages.split(';').map((text, i) => {
    const words = text.split(' ')
    return { id: String(i), size: field<AmountUnit>(words.slice(0, -1).join(' ')), price: words.at(-1) ?? '' }
  }), { dimension: dimensionOf(unit as AmountUnit), amount: Number(value) * amountFactor(unit as AmountUnit) }, shelf ? Number(shelf) : undefined)
  expect(rows.map(({ pack, years, state }) => `${pack.size.text} ${pack.size.unit} ${Number(years.toFixed(6))} ${state}`).join('; ')).toBe(expected)
})

test('what a year takes is what jobs used in the twelve months to the day', () => {
  const used = (on: string, amount: number, kind: 'used' | 'received' = 'used') => ({ kind, dimension: 'mass' as const, amount, on })
  expect(usedInYear([used('2025-05-06', -5), used('2025-05-07', -3), used('2026-05-06', -2), used('2026-05-07', -9), used('2026-01-01', 40, 'received')], '2026-05-06')).toEqual({ dimension: 'mass', amount: 5 })
  expect(usedInYear([used('2026-01-01', 40, 'received')], '2026-05-06')).toBeUndefined()
})
