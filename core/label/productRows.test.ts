import { expect, test } from 'vitest'
import { sampleProducts } from '../../demo/sampleProducts'
import type { NamedProduct } from './productRows'
import { productRows } from './productRows'
import { readProductRows } from './readProductRows'

const counter = () => {
  let made = 0
  return () => `id ${++made}`
}
/** What a table carries of a product: texts and figures, without ids and without the unit of a blank field. */
const plain = ({ name, document: { kind, form, analysis, density, actives, packages, lines, signal } }: NamedProduct) => {
  const told = ({ text, unit }: { readonly text: string; readonly unit: string }) => (text === '' ? '' : `${text} ${unit}`)
  return {
    name, kind, form, signal, density: told(density), analysis: Object.values(analysis).map(told), actives: actives.map((active) => `${active.name} ${told(active.content)} ${active.group}`), packages: packages.map(({ size, price }) => `${told(size)} ${price}`),
    lines: lines.map(({ use, basis, rate, low, high, most, year, repeatFrom, repeatTo }) => [use, basis, ...[rate, low, high, most, year, repeatFrom, repeatTo].map(told)].join(' ')),
  }
}

test('a shelf as a table gives back every label', () => {
  const shelf = sampleProducts()
  const { products, problems } = readProductRows(productRows(shelf), counter(), 'us-1000')
  expect(problems).toEqual([])
  expect(products.map(plain)).toEqual(shelf.map(plain))
  expect(products.map(({ id }) => id)).toEqual(shelf.map(({ id }) => id))
})

test('a table made by hand: two lines of one name are one label; one bad cell refuses the whole and says what would be right', () => {
  const row = { name: 'Granule', kind: 'fertilizer', form: 'granule', n: '21', packages: '50 lb | 41.50', use: 'lawns', rate: '3.4 lb/1000 ft2' }
  const made = readProductRows([row, { ...row, use: 'fine fescue', rate: '2.4' }], counter(), 'us-1000')
  expect(made.products).toMatchObject([{ name: 'Granule', document: { lines: [{ use: 'lawns' }, { rate: { text: '2.4', unit: 'lb/1000 ft2' } }], packages: [{ price: '41.50' }] } }])
  const wrong = readProductRows([row, { ...row, name: 'Other', form: 'paste', rate: 'some' }, { ...row, name: '' }], counter(), 'us-1000')
  expect(wrong.products).toEqual([])
  expect(wrong.problems.map(({ line, column }) => `${line} ${column}`).toSorted()).toEqual(['3 form', '3 rate', '4 name'])
})
