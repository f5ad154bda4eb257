import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import type { LabelledProduct, RateBasis } from '../label/label'
import { parseQuantity } from '../quantity/parseQuantity'
import { quantity } from '../quantity/quantity'
import { openWorkingBook } from '../working/working'
import { checkpoints } from './checkpoints'
import { graduations } from './graduations'
import { loadGroups } from './loadGroups'
import { splitLoads } from './loads'
import { measuredAmount } from './measuredAmount'
import { mixingOrder } from './mixingOrder'
import type { Plan } from './plan'
import { planApplication, type RequestIssue } from './planApplication'
import type { LoadStyle, PlanProduct, PlanRequest, SprayMethod } from './planRequest'

const read = <K extends 'area' | 'rate' | 'content' | 'carrier' | 'volume'>(
  text: string,
  kind: K,
  unit: never,
) => {
  const result = parseQuantity(text, kind, unit)
  if (!result.ok) throw new Error(result.error.message)
  return result.value
}

function methodOf(text: string): PlanRequest['method'] {
  const [carrier, tank] = text.split(' in ')
  return tank
    ? {
        kind: 'spray',
        carrier: read(carrier ?? '', 'carrier', 'gal/ac' as never),
        tank: read(tank, 'volume', 'gal' as never),
        loads: 'full-then-part',
      }
    : { kind: 'spread', passes: Number(text.split(' ')[0]) }
}

function labelOf(text: string): Partial<LabelledProduct> {
  const [name, value = ''] = text.split('=')
  if (name === 'active')
    return { actives: [{ name: 'sample active', content: read(value, 'content', '%' as never) }] }
  return name ? { analysis: { [name]: Number(value) } } : {}
}

function plan(request: PlanRequest): Plan {
  const result = planApplication(request, openWorkingBook())
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value
}
function issues(request: PlanRequest): readonly RequestIssue[] {
  const result = planApplication(request)
  return result.ok ? [] : result.error
}

test.each(readTable('amounts.csv', import.meta.url))('$name: $words', (row) => {
  const { totals, working } = plan({
    areas: [{ id: 'a', size: read(row.size ?? '', 'area', 'ft2' as never) }],
    products: [
      {
        id: 'p',
        rate: read(row.rate ?? '', 'rate', 'lb/ac' as never),
        ...(row.basis && { basis: row.basis as RateBasis }),
        ...labelOf(row.label ?? ''),
      },
    ],
    method: methodOf(row.method ?? ''),
  })
  const [product] = totals.products
  expect(product?.amount.unit).toBe(row.unit)
  expect((product?.amount.value ?? 0) / figure(row, 'amount')).toBeCloseTo(1, 11)
  const last = working.find((page) => page.figure === 'products.p.amount')?.lines.at(-1)
  expect(last).toBe(`together = ${Number(figure(row, 'amount').toPrecision(6))} ${row.unit}`)
})

test.each(readTable('measuredAmount.csv', import.meta.url))(
  '$amount in steps of $step under $cap: $words',
  (row) => {
    expect(
      measuredAmount(figure(row, 'amount'), figure(row, 'step'), row.cap ? figure(row, 'cap') : Infinity),
    ).toBeCloseTo(figure(row, 'measured'), 10)
  },
)

test.each(readTable('loads.csv', import.meta.url))('$name: $words', (row) => {
  const carrierRate = figure(row, 'carrierRate')
  const mix = figure(row, 'lawn') * carrierRate + figure(row, 'dead')
  const loads = splitLoads(
    mix,
    figure(row, 'tank'),
    row.style as Exclude<LoadStyle, 'by-area'>,
    figure(row, 'dead'),
    carrierRate,
  )
  const numbers = (text: string | undefined) =>
    (text ?? '').split(';').map((part) => expect.closeTo(Number(part), 10))
  expect(loads.map(({ carrier }) => carrier)).toEqual(numbers(row.carriers))
  expect(loads.map(({ size }) => size)).toEqual(numbers(row.sizes))
})

const lawn = { id: 'a1', name: 'Front strip', size: quantity(5870, 'ft2') } as const
const granule: PlanProduct = {
  id: 'p1',
  name: 'Slow-feed granule',
  rate: quantity(3.4, 'lb/1000 ft2'),
  analysis: { n: 21, k2o: 6, slowN: 60 },
}
const dry = (product: Partial<PlanProduct> = {}, passes = 2): PlanRequest => ({
  areas: [lawn],
  products: [{ ...granule, ...product }],
  method: { kind: 'spread', passes, reserve: quantity(3, 'lb') },
})
const spray: SprayMethod = {
  kind: 'spray',
  carrier: quantity(1.3, 'gal/1000 ft2'),
  tank: quantity(3, 'gal'),
  loads: 'full-then-part',
  dead: quantity(0.4, 'gal'),
}
const iron: PlanProduct = {
  id: 'iron',
  rate: quantity(3.4, 'fl oz/1000 ft2'),
  measureStep: quantity(5, 'mL'),
}
const wet = (products: readonly PlanProduct[] = [iron], method: Partial<SprayMethod> = {}): PlanRequest => ({
  areas: [lawn],
  products,
  method: { ...spray, ...method },
})

describe('dry', () => {
  test('passes share the amount, the reserve is weighed in once', () => {
    const { areas, totals, loads, nutrients } = plan(dry())
    expect(areas[0]?.products[0]?.perPass?.value).toBeCloseTo(9.979, 9)
    expect(totals.products[0]?.charge?.value).toBeCloseTo(22.958, 9)
    expect([loads, totals.carrier, totals.mix, areas[0]?.carrier, totals.products[0]?.mix]).toEqual([
      [],
      null,
      null,
      null,
      null,
    ])
    expect(nutrients).toMatchObject({
      n: { value: expect.closeTo(0.714, 12), unit: 'lb/1000 ft2' },
      k2o: { value: expect.closeTo(0.204, 12) },
      p2o5: { value: 0 },
      fe: { value: 0 },
    })
  })

  test('rounded once, on the total', () => {
    const [product] = plan(dry({ measureStep: quantity(0.2, 'lb') })).totals.products
    expect(product?.measured).toEqual({ value: expect.closeTo(20, 10), unit: 'lb' })
    expect(product?.measuredRate.value).toBeCloseTo(20 / 5.87, 10)
  })
})

describe('wet', () => {
  test('the mix is the lawn and the dead volume, at one strength; each load is rounded alone', () => {
    const { totals, loads, areas } = plan(wet())
    expect(totals.carrier?.value).toBeCloseTo(7.631, 9)
    expect(totals.mix?.value).toBeCloseTo(8.031, 9)
    expect(loads.map(({ carrier }) => carrier.value)).toEqual(
      [3, 3, 2.031].map((gallons) => expect.closeTo(gallons, 9)),
    )
    expect(loads.map(({ products }) => products[0]?.measured.value)).toEqual([230, 230, 155])
    expect(totals.products[0]).toMatchObject({
      amount: { value: expect.closeTo(19.958, 9) },
      mix: { value: expect.closeTo((19.958 * 8.031) / 7.631, 9) },
      measured: { value: 615, unit: 'mL' },
      charge: null,
    })
    expect(totals.products[0]?.measuredRate.value).toBeCloseTo(
      ((615 / 29.5735295625) * (7.631 / 8.031)) / 5.87,
      9,
    )
    expect(areas[0]?.carrier).toEqual({ value: expect.closeTo(7.631, 9), unit: 'gal' })
  })

  test('without a step the measured rate is the rate, dead volume or not', () => {
    const [product] = plan(wet([{ ...iron, measureStep: undefined }])).totals.products
    expect(product?.measuredRate.value).toBeCloseTo(3.4, 12)
  })

  test('a product by volume with an analysis and no density leaves the nutrients untold', () => {
    const untold = plan(wet([{ ...iron, analysis: { fe: 6 } }]))
    expect(untold.nutrients).toBeNull()
    expect(untold.checks).toMatchObject([{ level: 'note', code: 'nutrients-unknown', productId: 'iron' }])
    const told = plan(wet([{ ...iron, analysis: { fe: 6 }, density: quantity(10.9, 'lb/gal') }]))
    expect(told.nutrients?.fe.value).toBeCloseTo((3.4 / 128) * 10.9 * 0.06, 12)
  })
})

describe('each limit at, just under and just over', () => {
  const codes = (request: PlanRequest) => plan(request).checks.map(({ level, code }) => `${level} ${code}`)
  const at = (rate: number, limits: PlanProduct['limits']) =>
    codes(dry({ rate: quantity(rate, 'lb/1000 ft2'), analysis: {}, limits }))
  test.each([
    [4.8, { high: quantity(4.8, 'lb/1000 ft2') }, []],
    [4.8001, { high: quantity(4.8, 'lb/1000 ft2') }, ['stop rate-above-label']],
    [4.7999, { high: quantity(4.8, 'lb/1000 ft2') }, []],
    [2.4, { low: quantity(2.4, 'lb/1000 ft2') }, []],
    [2.3999, { low: quantity(2.4, 'lb/1000 ft2') }, ['warn rate-below-label']],
    [2.4001, { low: quantity(2.4, 'lb/1000 ft2') }, []],
    [5, { maxPerApplication: quantity(217.8, 'lb/ac') }, []],
    [5.001, { maxPerApplication: quantity(217.8, 'lb/ac') }, ['stop above-max-per-application']],
    [
      5.001,
      { high: quantity(4.8, 'lb/1000 ft2'), maxPerApplication: quantity(5, 'lb/1000 ft2') },
      ['stop above-max-per-application', 'stop rate-above-label'],
    ],
  ])('%d lb/1000 ft2 against %j', (rate, limits, expected) => expect(at(rate, limits)).toEqual(expected))

  test('quick nitrogen: 1.0 is on the limit, the slow share does not count', () => {
    const n = (rate: number, slowN: number) =>
      codes(dry({ rate: quantity(rate, 'lb/1000 ft2'), basis: 'n', analysis: { n: 21, slowN } }))
    expect([n(1, 0), n(1.0001, 0), n(2, 50), n(2.001, 50)]).toEqual([
      [],
      ['warn quick-nitrogen-high'],
      [],
      ['warn quick-nitrogen-high'],
    ])
  })

  test('a part load under what the pump agitates, or under a tenth of the tank', () => {
    const part = (size: number, agitate?: number) =>
      codes({
        areas: [{ id: 'a', size: quantity(size, '1000 ft2') }],
        products: [{ ...iron, measureStep: undefined }],
        method: {
          ...spray,
          carrier: quantity(1, 'gal/1000 ft2'),
          dead: undefined,
          agitate: agitate === undefined ? undefined : quantity(agitate, 'gal'),
        },
      })
    expect([part(3.3), part(3.29), part(3.5, 0.5), part(3.5, 0.51)]).toEqual([
      [],
      ['note part-load-small'],
      [],
      ['note part-load-small'],
    ])
  })

  test('a coarse step: 3 % passes, beyond is told once a product', () => {
    const coarse = (amount: number) =>
      codes(
        dry({ rate: quantity(amount / 5.87, 'lb/1000 ft2'), analysis: {}, measureStep: quantity(1, 'lb') }),
      )
    expect([coarse(10.3), coarse(10.31)]).toEqual([[], ['warn measure-step-coarse']])
  })

  test('limits in other measures need the density, and say so', () => {
    const limits = { high: quantity(5, 'oz/1000 ft2') }
    expect(issues(wet([{ ...iron, limits }]))).toMatchObject([
      { code: 'needs-density', path: 'products.0.limits.high.unit' },
    ])
    expect(codes(wet([{ ...iron, density: quantity(10.3, 'lb/gal'), limits }]))).toEqual([])
    expect(
      codes(
        wet([
          {
            ...iron,
            measureStep: undefined,
            rate: quantity(0.5, '%'),
            limits: { high: quantity(6, 'fl oz/1000 ft2') },
          },
        ]),
      ),
    ).toEqual([])
    expect(
      codes(wet([{ ...iron, rate: quantity(4, '%'), limits: { high: quantity(6, 'fl oz/1000 ft2') } }])),
    ).toContain('stop rate-above-label')
  })
})

test.each<[string, PlanRequest, string]>([
  ['nutrient without analysis', dry({ basis: 'p2o5' }), 'needs-analysis products.0.analysis.p2o5'],
  ['active without active', dry({ basis: 'active' }), 'needs-active products.0.actives'],
  ['dilution on a spreader', dry({ rate: quantity(2, 'g/L') }), 'needs-carrier products.0.rate.unit'],
  ['fluid rate on a spreader', dry({ rate: quantity(2, 'fl oz/ac') }), 'invalid products.0.rate.unit'],
  ['nutrient in fluid measure', wet([{ ...iron, basis: 'n' }]), 'invalid products.0.rate.unit'],
  ['two dry products', { ...dry(), products: [granule, { ...granule, id: 'p2' }] }, 'invalid products'],
  ['id twice', wet([iron, iron]), 'invalid products.1.id'],
  ['dead as large as the tank', wet([iron], { dead: quantity(3, 'gal') }), 'invalid method.dead'],
  [
    'low above high',
    dry({ limits: { low: quantity(210, 'lb/ac'), high: quantity(4.8, 'lb/1000 ft2') } }),
    'invalid products.0.limits.low',
  ],
  [
    'a thousand and one loads',
    wet([iron], { tank: quantity(0.008023, 'gal'), dead: quantity(0, 'gal') }),
    '',
  ],
  [
    'too many loads',
    wet([iron], { tank: quantity(0.0076, 'gal'), dead: quantity(0, 'gal') }),
    'too-many-loads method.tank',
  ],
  ['figures that overflow', dry({ rate: quantity(5e-324, 'lb/1000 ft2') }), 'invalid '],
])('refused: %s', (_, request, expected) => {
  const [first] = issues(request)
  expect(first ? `${first.code} ${first.path}` : '').toBe(expected)
})

test('several needs: the first of analysis, active, carrier, density', () => {
  const product = (id: string, more: Partial<PlanProduct>): PlanProduct => ({
    id,
    rate: quantity(1, 'oz/1000 ft2'),
    ...more,
  })
  const list = [
    product('d', { measureStep: quantity(5, 'mL') }),
    product('a', { basis: 'active' }),
    product('n', { basis: 'n' }),
  ]
  expect(issues(wet(list))).toMatchObject([{ code: 'needs-analysis', path: 'products.2.analysis.n' }])
  expect(issues(wet(list.slice(0, 2)))).toMatchObject([{ code: 'needs-active' }])
  expect(issues(wet(list.slice(0, 1)))).toMatchObject([
    { code: 'needs-density', path: 'products.0.measureStep.unit' },
  ])
})

describe('properties', () => {
  const some = fc.double({ min: 0.05, max: 50, noNaN: true })
  const sizes = fc.array(fc.double({ min: 50, max: 90_000, noNaN: true }), { minLength: 1, maxLength: 8 })
  const request = fc
    .record({
      sizes,
      rate: some,
      carrier: fc.double({ min: 0.3, max: 5, noNaN: true }),
      tank: fc.double({ min: 3, max: 60, noNaN: true }),
      dead: fc.double({ min: 0, max: 2.9, noNaN: true }),
      loads: fc.constantFrom<LoadStyle>('full-then-part', 'equal'),
    })
    .map(({ sizes: list, rate, carrier, tank, dead, loads }): PlanRequest => ({
      areas: list.map((size, i) => ({ id: `a${i}`, size: quantity(size, 'ft2') })),
      products: [
        {
          id: 'p',
          rate: quantity(rate, 'fl oz/1000 ft2'),
          measureStep: quantity(5, 'mL'),
          limits: { high: quantity(rate, 'fl oz/1000 ft2') },
        },
      ],
      method: {
        kind: 'spray',
        carrier: quantity(carrier, 'gal/1000 ft2'),
        tank: quantity(tank, 'gal'),
        dead: quantity(dead, 'gal'),
        loads,
      },
    }))
  const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

  test('loads sum to the mix, sizes to the lawn, areas to the total; no load over the tank', () => {
    fc.assert(
      fc.property(request, (one) => {
        const { totals, loads, areas } = plan(one)
        const [product] = totals.products
        expect(sum(loads.map(({ carrier }) => carrier.value)) / (totals.mix?.value ?? 0)).toBeCloseTo(1, 9)
        expect(sum(loads.map(({ size }) => size.value)) / totals.size.value).toBeCloseTo(1, 9)
        expect(
          sum(loads.map(({ products }) => products[0]?.amount.value ?? 0)) / (product?.mix?.value ?? 0),
        ).toBeCloseTo(1, 9)
        expect(
          sum(areas.map(({ products }) => products[0]?.amount.value ?? 0)) / (product?.amount.value ?? 0),
        ).toBeCloseTo(1, 9)
        const tank = one.method.kind === 'spray' ? one.method.tank.value : 0
        expect(
          loads.every(({ carrier, size }) => carrier.value <= tank * (1 + 1e-6) && size.value >= 0),
        ).toBe(true)
      }),
    )
  })

  test('what is measured never passes the label, load by load', () => {
    fc.assert(
      fc.property(request, (one) => {
        for (const { products } of plan(one).loads) {
          const [product] = products
          const exactMl = (product?.amount.value ?? 0) * 29.5735295625
          if ((product?.measured.value ?? 0) > 5)
            expect(product?.measured.value).toBeLessThanOrEqual(exactMl * (1 + 1e-8))
        }
      }),
    )
  })

  test('twice the lawn takes twice the product; a higher rate never takes less', () => {
    fc.assert(
      fc.property(some, some, (rate, more) => {
        const amount = (size: number, value: number) =>
          plan({
            areas: [{ id: 'a', size: quantity(size, 'm2') }],
            products: [{ id: 'p', rate: quantity(value, 'g/m2') }],
            method: { kind: 'spread', passes: 1 },
          }).totals.products[0]?.amount.value ?? 0
        expect(amount(200, rate) / amount(100, rate)).toBeCloseTo(2, 12)
        expect(amount(100, rate + more)).toBeGreaterThan(amount(100, rate))
      }),
    )
  })
})

test('vessels: marks, charge levels, groups of equal loads, mixing order', () => {
  expect(graduations(26)).toEqual([5, 10, 15, 20, 25])
  expect(graduations(0)).toEqual([])
  expect(loadGroups(plan(wet()).loads, 3).map(({ title }) => title)).toEqual(['2 x full load', 'Part load'])
  expect(
    mixingOrder([
      { form: 'dye' },
      { form: 'solution' },
      { form: 'water conditioner' },
      { form: 'dry flowable' },
    ] as const).map(({ form }) => form),
  ).toEqual(['water conditioner', 'dry flowable', 'solution', 'dye'])
})

// 16.3 lb of which 13.3 go on the lawn and 3 come back, in two passes: 6.65 each.
test.each([
  {
    over: 'one lawn',
    lawns: [{ name: 'A', size: 40 }],
    told: ['1 half 12.975', '1 end 9.65', '2 half 6.325', '2 end 3'],
  },
  {
    over: 'two lawns, 1 to 3',
    lawns: [
      { name: 'A', size: 10 },
      { name: 'B', size: 30 },
    ],
    told: ['1 lawn A 14.6375', '1 end 9.65', '2 lawn A 7.9875', '2 end 3'],
  },
  {
    over: 'five lawns',
    lawns: ['A', 'B', 'C', 'D', 'E'].map((name) => ({ name, size: 8 })),
    told: ['1 end 9.65', '2 end 3'],
  },
])('checkpoints over $over', ({ lawns, told }) => {
  expect(
    checkpoints(quantity(16.3, 'lb'), quantity(13.3, 'lb'), 2, lawns).map(({ pass, at, lawn, left }) =>
      [pass, at, lawn, Number(left.value.toFixed(9))].filter((part) => part !== '').join(' '),
    ),
  ).toEqual(told)
})
