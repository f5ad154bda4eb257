import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import { closedWorkingBook } from '../working/working'
import { heavyMix } from './heavyMix'
import type { PlanProduct } from './planRequest'

test.each(readTable('heavyMix.csv', import.meta.url))('$name: $words', (row) => {
  const product: PlanProduct = {
    id: 'p',
    rate: { value: Number(row.product) * 10_000, unit: 'L/ha' },
    density: { value: Number(row.density), unit: 'kg/L' },
  }
  const heavy = heavyMix([product], Number(row.watered) / 1000, closedWorkingBook)
  if (row.carrier === '') return expect(heavy).toBeUndefined()
  expect((heavy?.carrier ?? 0) * 1000).toBeCloseTo(Number(row.carrier), 9)
  expect(heavy?.gravity).toBeCloseTo(Number(row.gravity), 9)
})

test('nothing is put right where no density says so', () => {
  const product: PlanProduct = { id: 'p', rate: { value: 1000, unit: 'L/ha' } }
  expect(heavyMix([product], 0.0005, closedWorkingBook)).toBeUndefined()
})
