import { expect, test } from 'vitest'
import { activeHeld, useReport, type UseLine } from './useReport'

const LITRE = 0.001
const line = (more: Partial<UseLine>): UseLine => ({
  key: '',
  product: 'Cover',
  sourceId: 'p',
  active: 'covril',
  group: '11',
  dimension: 'volume',
  amount: LITRE,
  applications: 1,
  sizeM2: 100,
  first: '2026-04-01',
  last: '2026-04-01',
  n: null,
  ...more,
})
const density = (text: string) => ({ text, unit: 'kg/L' as const })

test.each([
  // 3 gal is 11.356235352 L; 2 lb/gal of it is 6 lb, 0.45359237 kg each.
  [
    'weight in volume of a volume',
    { text: '2', unit: 'lb/gal' },
    11.356235352 * LITRE,
    'volume',
    '',
    6 * 0.45359237,
  ],
  // 14.3 % of 10 kg.
  ['per cent of a weight', { text: '14.3', unit: '%' }, 10, 'mass', '', 1.43],
  // 5 L of 1.2 kg/L weigh 6 kg; 25 % of that.
  ['per cent of a volume, by its density', { text: '25', unit: '%' }, 5 * LITRE, 'volume', '1.2', 1.5],
  // 6 kg of 1.2 kg/L are 5 L; 100 g in each.
  ['weight in volume of a weight', { text: '100', unit: 'g/L' }, 6, 'mass', '1.2', 0.5],
] as const)('the active in a product: %s', (_, content, amount, dimension, dense, kilograms) => {
  const held = activeHeld(content, { amount, dimension }, dense === '' ? undefined : density(dense))
  expect(held?.kilograms).toBeCloseTo(kilograms, 9)
})

test.each([
  ['a volume without its density', { text: '25', unit: '%' }, 'volume'],
  ['a content nobody entered', { text: '', unit: '%' }, 'mass'],
] as const)('%s is not guessed', (_, content, dimension) => {
  expect(activeHeld(content, { amount: 1, dimension }, undefined)).toBeUndefined()
})

test('the working shows the density where a volume is weighed by it', () => {
  const held = activeHeld(
    { text: '25', unit: '%' },
    { amount: 5 * LITRE, dimension: 'volume' },
    density('1.2'),
  )
  expect(held?.words).toBe('5 L at 1.2 kg/L is 6 kg; 25 % of 6 kg is 1.5 kg')
})

test('headings by name, what has no name last, products by name below', () => {
  const report = useReport(
    [
      line({ key: '', product: 'b' }),
      line({ key: 'Site 2' }),
      line({ key: 'site 1', product: 'z' }),
      line({ key: 'site 1', product: 'A' }),
    ],
    new Map(),
  )
  expect(report.map(({ key }) => key)).toEqual(['site 1', 'Site 2', ''])
  expect(report[0]?.lines.map(({ product }) => product)).toEqual(['A', 'z'])
})

test('a product that is no longer saved keeps its amount and tells no active', () => {
  const [heading] = useReport([line({ sourceId: null })], new Map())
  expect(heading?.lines[0]).toMatchObject({
    amount: LITRE,
    actives: [],
    working: [expect.stringContaining('1 L of Cover in 1 application')],
  })
})

test('twice the product holds twice the active', () => {
  const labels = new Map([
    [
      'p',
      {
        actives: [
          { id: 'a', name: 'covril', group: '11', content: { text: '1.3', unit: 'lb/gal' as const } },
        ],
        density: density(''),
      },
    ],
  ])
  const kilograms = (amount: number) =>
    useReport([line({ amount })], labels)[0]?.lines[0]?.actives[0]?.kilograms ?? 0
  expect(kilograms(0.004)).toBeCloseTo(2 * kilograms(0.002), 12)
  expect(kilograms(0.002)).toBeGreaterThan(0)
})
