import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import type { ProductKind } from '../label/productDocument'
import { rateUnitParts } from '../quantity/rateUnit'
import { endOf, endText } from './ends'

const figure = (text: string | undefined) => (text ? Number(text) : undefined)

test.each(readTable('ends.csv', import.meta.url))('$kind $active of $on: $working', (row) => {
  const [repeatFrom, repeatTo] = (row.repeat ?? '').split('-').map(figure)
  const n = figure(row.nitrogen)
  const end = endOf(
    {
      on: row.on!,
      kind: row.kind as ProductKind,
      active: row.active,
      lastsDays: figure(row.lasts),
      repeatFrom,
      repeatTo,
      split: row.split === 'half' ? 'half' : undefined,
      n: n === undefined ? null : n * rateUnitParts('lb/1000 ft2').factor,
      slowShare: figure(row.slow),
      releaseDays: figure(row.release),
      sprayed: row.sprayed === 'yes',
      heatDue: row.heat || undefined,
    },
    { indexActs: row.acts === 'yes' },
  )
  expect([end?.to ?? '', end?.by ?? '']).toEqual([row.to, row.by])
})

test('the end is said with the rule that gave it', () => {
  expect(endText({ to: '2026-05-07', by: 'interval' })).toBe(
    'until 7 May 2026 by the repeat interval of its label',
  )
})
