import { expect, test } from 'vitest'
import { field, typed } from '../../demo/typed'
import { figure, readTable } from '../../test/support/readTable'
import { quantity } from '../quantity/quantity'
import type { DensityUnit } from '../quantity/units'
import { blankProductDocument } from './blankProduct'
import { equivalents } from './equivalents'
import type { Form } from './label'

const shelved = (id: string, form: Form, content: string, density: string, active = 'stuff') => ({
  id,
  name: id,
  document: {
    ...blankProductDocument('l', 'us-1000'),
    form,
    actives: active ? [{ id: 'a', name: active, content: typed(content, '%' as const), group: '' }] : [],
    ...(density && { density: field<DensityUnit>(`${density} lb/gal`) }),
  },
})

test.each(readTable('equivalents.csv', import.meta.url))('$name: $words', (row) => {
  const own = shelved('own', 'solution', row.content ?? '', row.density ?? '')
  const other = shelved('other', row.form as Form, row.otherContent ?? '', row.otherDensity ?? '')
  const [found] = equivalents(own, quantity(figure(row, 'rate'), 'fl oz/1000 ft2'), [
    own,
    other,
    shelved('another active', 'solution', '10', '9', 'other'),
  ])
  expect(found?.id).toBe('other')
  expect(found?.rate.unit).toBe(row.unit)
  expect(found?.rate.value).toBeCloseTo(figure(row, 'expect'), 9)
})

test('there and back is the rate one began with, and what can’t be known is not offered', () => {
  const [a, b] = [shelved('a', 'solution', '14.3', '9.1'), shelved('b', 'granule', '0.62', '')]
  const [there] = equivalents(a, quantity(1.6, 'fl oz/1000 ft2'), [b])
  const [back] = equivalents(b, there?.rate ?? quantity(1, 'lb/1000 ft2'), [a])
  expect(back?.rate.value).toBeCloseTo(1.6, 9)
  expect(equivalents(shelved('a', 'solution', '14.3', ''), quantity(1.6, 'fl oz/1000 ft2'), [b])).toEqual([])
  expect(equivalents(a, quantity(1, '%'), [b])).toEqual([])
})
