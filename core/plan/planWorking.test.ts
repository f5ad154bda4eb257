import { describe, expect, test } from 'vitest'
import { quantity, type Quantity } from '../quantity/quantity'
import { openWorkingBook } from '../working/working'
import type { Plan } from './plan'
import { planApplication } from './planApplication'
import type { PlanRequest } from './planRequest'

const spray: PlanRequest = {
  areas: [
    { id: 'a1', name: 'Front strip', size: quantity(5870, 'ft2') },
    { id: 'a2', size: quantity(0.21, 'ac') },
  ],
  products: [
    {
      id: 'iron',
      name: 'Chelated iron',
      rate: quantity(3.4, 'fl oz/1000 ft2'),
      density: quantity(10.9, 'lb/gal'),
      analysis: { fe: 6, n: 4, slowN: 25 },
      measureStep: quantity(5, 'mL'),
    },
    { id: 'target', rate: quantity(0.11, 'lb/1000 ft2'), basis: 'n', analysis: { n: 21 } },
    { id: 'wetter', rate: quantity(0.25, '%') },
  ],
  method: {
    kind: 'spray',
    carrier: quantity(1.3, 'gal/1000 ft2'),
    tank: quantity(11, 'gal'),
    loads: 'full-then-part',
    dead: quantity(0.4, 'gal'),
  },
}
const spread: PlanRequest = {
  areas: spray.areas,
  products: [{ id: 'feed', rate: quantity(3.4, 'lb/1000 ft2'), analysis: { n: 21 } }],
  method: { kind: 'spread', passes: 2, reserve: quantity(3, 'lb') },
}

function planOf(request: PlanRequest): Plan {
  const plan = planApplication(request, openWorkingBook())
  if (!plan.ok) throw new Error('the test request does not plan')
  return plan.value
}
const pages = (plan: Plan) => new Map(plan.working.map(({ figure, lines }) => [figure, lines]))
const ends = (lines: readonly string[] | undefined, figure: Quantity | null | undefined) => {
  const match = / = (\S+) (.+)$/.exec(lines?.at(-1) ?? '')
  expect(match?.[2]).toBe(figure?.unit)
  expect(Number(match?.[1])).toBeCloseTo(Number(figure?.value.toPrecision(6)), 9)
}

describe('the last line of a page is its figure', () => {
  const plan = planOf(spray)
  const book = pages(plan)

  test.each(spray.products.map(({ id }, index) => ({ id, index })))(
    'amount and measured of $id',
    ({ id, index }) => {
      ends(book.get(`products.${id}.amount`), plan.totals.products[index]?.amount)
      ends(book.get(`products.${id}.measured`), plan.totals.products[index]?.measured)
    },
  )

  test('water and nutrients', () => {
    ends(book.get('carrier'), plan.totals.carrier)
    ends(book.get('mix'), plan.totals.mix)
    for (const nutrient of ['n', 'p2o5', 'k2o', 'fe'] as const)
      ends(book.get(`nutrients.${nutrient}`), plan.nutrients?.[nutrient])
    expect(book.get('loads.count')?.at(-1)).toBe(`counted = ${plan.loads.length} loads`)
  })

  test('the charge of a dry job', () => {
    const dry = planOf(spread)
    ends(pages(dry).get('products.feed.charge'), dry.totals.products[0]?.charge)
    expect(pages(dry).has('carrier')).toBe(false)
  })
})

describe('a page quotes what was entered', () => {
  const book = pages(planOf(spray))
  test.each([
    ['products.iron.amount', ['3.4 fl oz/1000 ft2', '5870 ft2', '0.21 ac']],
    ['products.iron.measured', ['3.4 fl oz/1000 ft2', '5 mL', 'load 1', 'load 2']],
    ['products.target.amount', ['0.11 lb/1000 ft2 counts N: x 100 / 21 %']],
    ['products.wetter.amount', ['0.25 %', '1.3 gal/1000 ft2']],
    ['carrier', ['5870 ft2', '1.3 gal/1000 ft2']],
    ['mix', ['0.4 gal']],
    ['loads.count', ['11 gal', '1.3 gal/1000 ft2']],
    ['nutrients.n', ['4 %', '21 %', '3.4 fl oz/1000 ft2']],
  ] as const)('%s', (figure, quoted) => {
    const text = book.get(figure)?.join('\n') ?? ''
    for (const input of quoted) expect(text).toContain(input)
  })
})

test('without a book nothing is kept, and the figures are the same', () => {
  const bare = planApplication(spray)
  expect(bare.ok && bare.value.working).toEqual([])
  expect(bare.ok && { ...bare.value, working: undefined }).toEqual({ ...planOf(spray), working: undefined })
})
