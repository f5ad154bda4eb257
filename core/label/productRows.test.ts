import { expect, test } from 'vitest'
import { sampleProducts } from '../../demo/sampleProducts'
import { typed } from '../../demo/typed'
import { LINE_FIGURE_NAMES, LINE_FIGURES } from './productFields'
import type { RateLine } from './productShape'
import type { NamedProduct } from './productRows'
import { productRows, readProductRows } from './productRows'

const counter = () => {
  let made = 0
  return () => `id ${++made}`
}
/** Everything of a product but ids, the unit of a blank field, and what is absent or blank. */
function plain(value: unknown): unknown {
  if (Array.isArray(value)) return value.length === 0 ? undefined : value.map(plain)
  if (typeof value !== 'object' || value === null) return value === '' ? undefined : value
  if ('text' in value && value.text === '') return undefined
  const kept = Object.entries(value)
    .filter(([key]) => key !== 'id')
    .map(([key, own]) => [key, plain(own)] as const)
    .filter(([, own]) => own !== undefined)
  return kept.length === 0 ? undefined : Object.fromEntries(kept)
}
const nameAndLabel = ({ name, document }: NamedProduct) => plain({ name, document })
/** A label on which everything is filled in. */
function fullLabel(): NamedProduct {
  const grasses = ['tall fescue', 'zoysia'] as const
  const figures = Object.fromEntries(
    LINE_FIGURE_NAMES.map((name, i) => [name, { text: String(i + 3), unit: LINE_FIGURES[name].unit }]),
  ) as RateLine['figures']
  const [labels] = sampleProducts()
  const { document } = labels!
  return {
    id: 'full',
    name: 'Everything, "quoted"',
    document: {
      ...document,
      grain: typed('1.9', 'mm'),
      nForms: { nitrate: typed('10', '%'), ammonium: typed('', '%'), urea: typed('60.5', '%') },
      coating: 'polymer',
      releases: typed('9', 'wk'),
      potassium: 'chloride',
      saltIndex: '46',
      ph: { from: '5.5', to: '', last: 'last' },
      measures: [
        { id: 'm', tool: 'cup', marks: '4', holds: typed('7.9', 'oz') },
        { id: 'n', tool: 'scoop', marks: '', holds: typed('1.2', 'lb') },
      ],
      dials: [{ id: 'd', spreader: 'some machine', dial: '5 1/4' }],
      harms: grasses,
      restrictions: 'Not near ponds; gloves.',
      shelfLife: typed('104', 'wk'),
      reorderAt: typed('25', 'lb'),
      label: 'own',
      lines: [
        {
          ...document.lines[0]!,
          yearActive: typed('1.5', 'lb/ac'),
          period: 'twelve months',
          heatUnits: '200',
          grasses,
          growth: 'greening up',
          drops: 'coarse',
          sparesSown: ['perennial ryegrass'],
          perYear: '3',
          inRow: '2',
          method: 'spread',
          figures,
        },
      ],
    },
  }
}

test('labels as a table gives back every label', () => {
  const labels = [...sampleProducts(), fullLabel()]
  const { products, problems } = readProductRows(productRows(labels), counter(), 'us-1000')
  expect(problems).toEqual([])
  expect(products.map(nameAndLabel)).toEqual(labels.map(nameAndLabel))
  expect(products.map(({ id }) => id)).toEqual(labels.map(({ id }) => id))
})

test(
  'a table made by hand: two lines of one name are one label; one bad cell refuses the whole and says ' +
    'what would be right',
  () => {
    const row = {
      name: 'Granule',
      kind: 'fertilizer',
      form: 'granule',
      n: '21',
      packages: '50 lb | 41.50',
      use: 'lawns',
      rate: '3.4 lb/1000 ft2',
    }
    const made = readProductRows([row, { ...row, use: 'fine fescue', rate: '2.4' }], counter(), 'us-1000')
    expect(made.products).toMatchObject([
      {
        name: 'Granule',
        document: {
          lines: [{ use: 'lawns' }, { rate: { text: '2.4', unit: 'lb/1000 ft2' } }],
          packages: [{ price: '41.50' }],
        },
      },
    ])
    const wrong = readProductRows(
      [
        row,
        { ...row, name: 'Other', form: 'paste', rate: 'some' },
        { ...row, name: '' },
        { ...row, name: 'Third', harms: 'moss', measures: 'cup | some', wind_most: 'calm' },
      ],
      counter(),
      'us-1000',
    )
    expect(wrong.products).toEqual([])
    expect(wrong.problems.map(({ line, column }) => `${line} ${column}`).toSorted()).toEqual([
      '3 form',
      '3 rate',
      '4 name',
      '5 harms',
      '5 measures',
      '5 wind_most',
    ])
  },
)
