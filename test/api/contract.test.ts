import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { clientOf, type Client } from '../support/client'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let client: Client
beforeAll(async () => {
  served = await serve()
  client = clientOf(served.url)
})
afterAll(() => served.stop())

interface Quantity {
  readonly value: number
  readonly unit: string
}
interface Plan {
  readonly totals: {
    readonly size: Quantity
    readonly carrier: Quantity
    readonly mix: Quantity
    readonly products: readonly Record<'amount' | 'mix' | 'measured' | 'measuredRate', Quantity>[]
  }
  readonly loads: readonly {
    readonly number: number
    readonly size: Quantity
    readonly carrier: Quantity
    readonly products: readonly Record<'amount' | 'measured', Quantity>[]
  }[]
  readonly nutrients: Record<string, Quantity> | null
  readonly checks: readonly { readonly level: string; readonly code: string; readonly productId?: string }[]
}

const q = (value: number, unit: string): Quantity => ({ value, unit })
const near = (value: number) => expect.closeTo(value, 9)
const method = { kind: 'spray', carrier: q(1.3, 'gal/1000 ft2'), tank: q(26, 'gal'), loads: 'full-then-part' }
const request = (
  products: readonly object[],
  changes: object = {},
  sizes: readonly Quantity[] = [q(15_460, 'ft2'), q(6900, 'ft2')],
) => ({
  areas: sizes.map((size, i) => ({ id: `a${i + 1}`, size })),
  products: products.map((product, i) => ({ id: `p${i + 1}`, ...product })),
  method: { ...method, ...changes },
})
const plan = async (body: object): Promise<Plan> => {
  const answer = await client.post('/api/plan', body)
  expect(answer.status, JSON.stringify(answer.body).slice(0, 400)).toBe(200)
  return answer.body as Plan
}

describe('a tank mix of three on two lawns, worked out by hand', () => {
  // 22,360 ft2 x 1.3 gal = 29.068 gal on the lawn; 0.4 gal stays: 29.468 gal to mix, 26 and 3.468.
  const mix = request(
    [
      { rate: q(3.4, 'fl oz/1000 ft2'), measureStep: q(5, 'mL') },
      { rate: q(0.25, '%') },
      { rate: q(9.5, 'mL/100 m2') },
    ],
    { dead: q(0.4, 'gal'), agitate: q(5, 'gal') },
  )

  test('water', async () => {
    const { totals, loads } = await plan(mix)
    expect([totals.carrier, totals.mix]).toEqual([q(near(29.068), 'gal'), q(near(29.468), 'gal')])
    expect(loads.map(({ carrier }) => carrier.value)).toEqual([near(26), near(3.468)])
    // 26 / 1.3 = 20,000 ft2; the rest is 2,360 ft2.
    expect(loads.map(({ size }) => size.value / 0.09290304)).toEqual([near(20_000), near(2360)])
  })

  test('products: on the lawn, in the mix, measured load by load', async () => {
    const { totals, loads } = await plan(mix)
    // 3.4 x 22.36 = 76.024 fl oz; 0.25 % of 29.068 gal; 9.5 x 20.7731... hundred m2
    expect(totals.products.map(({ amount }) => amount)).toEqual([
      q(near(76.024), 'fl oz'),
      q(near(0.07267), 'gal'),
      q(near(9.5 * 22_360 * 0.0009290304), 'mL'),
    ])
    expect(totals.products[0]?.mix.value).toBeCloseTo((76.024 * 29.468) / 29.068, 9)
    // 68 fl oz = 2,011.0 mL and 9.0702 fl oz = 268.2 mL in steps of 5
    expect(loads.map(({ products }) => products[0]?.measured)).toEqual([q(2010, 'mL'), q(270, 'mL')])
    expect(totals.products[0]?.measured).toEqual(q(2280, 'mL'))
    expect(totals.products[0]?.measuredRate.value).toBeCloseTo(
      ((2280 / 29.5735295625) * (29.068 / 29.468)) / 22.36,
      9,
    )
  })

  test('the part load is under what the pump agitates', async () => {
    expect((await plan(mix)).checks).toMatchObject([{ level: 'note', code: 'part-load-small' }])
  })

  test('equal loads are equal', async () => {
    const { loads } = await plan(
      request([{ rate: q(3.4, 'fl oz/1000 ft2') }], { loads: 'equal', dead: q(0.4, 'gal') }),
    )
    expect(loads.map(({ carrier }) => carrier.value)).toEqual([near(14.734), near(14.734)])
  })
})

describe('units of the answer', () => {
  test.each([
    ['1 lb/ac', q(1, 'lb/ac'), 'lb'],
    ['2 pt/ac', q(2, 'pt/ac'), 'pt'],
    ['1 tsp/1000 ft2', q(1, 'tsp/1000 ft2'), 'tsp'],
    ['4 L/ha', q(4, 'L/ha'), 'L'],
    ['30 g/100 m2', q(30, 'g/100 m2'), 'g'],
    ['1 %', q(1, '%'), 'gal'],
    ['2 fl oz/gal', q(2, 'fl oz/gal'), 'fl oz'],
    ['1 oz/gal', q(1, 'oz/gal'), 'oz'],
    ['3 g/L', q(3, 'g/L'), 'g'],
  ])('%s answers in %3$s', async (_, rate, unit) => {
    expect((await plan(request([{ rate }]))).totals.products[0]?.amount.unit).toBe(unit)
  })

  test('a mass of active in a liquid answers in the content’s volume unit', async () => {
    const active = (content: Quantity) =>
      plan(
        request(
          [{ rate: q(0.4, 'lb/ac'), basis: 'active', actives: [{ name: 'sample active', content }] }],
          {},
          [q(1.5, 'ac')],
        ),
      )
    expect((await active(q(1.3, 'lb/gal'))).totals.products[0]?.amount).toEqual(q(near(0.6 / 1.3), 'gal'))
    expect((await active(q(14.3, '%'))).totals.products[0]?.amount).toEqual(q(near(0.6 / 0.143), 'lb'))
  })
})

describe('checks and what is not known', () => {
  test('sorted stop, warn, note, then in product order, sums last', async () => {
    const { checks } = await plan(
      request([
        { rate: q(6, 'fl oz/1000 ft2'), analysis: { fe: 6 }, limits: { high: q(5, 'fl oz/1000 ft2') } },
        { rate: q(1, 'lb/1000 ft2'), limits: { low: q(2, 'lb/1000 ft2') } },
        {
          rate: q(1.2, 'lb/1000 ft2'),
          basis: 'n',
          analysis: { n: 46 },
          limits: { maxPerApplication: q(2, 'lb/1000 ft2') },
        },
      ]),
    )
    expect(checks.map(({ level, code, productId }) => [level, code, productId])).toEqual([
      ['stop', 'rate-above-label', 'p1'],
      ['stop', 'above-max-per-application', 'p3'],
      ['warn', 'rate-below-label', 'p2'],
      ['warn', 'quick-nitrogen-high', undefined],
      ['note', 'nutrients-unknown', 'p1'],
    ])
  })

  test('nutrients are null as soon as one product’s mass is not known, and all four otherwise', async () => {
    expect(
      (await plan(request([{ rate: q(6, 'fl oz/1000 ft2'), analysis: { fe: 6 } }]))).nutrients,
    ).toBeNull()
    expect((await plan(request([{ rate: q(6, 'fl oz/1000 ft2') }]))).nutrients).toEqual({
      n: q(0, 'lb/1000 ft2'),
      p2o5: q(0, 'lb/1000 ft2'),
      k2o: q(0, 'lb/1000 ft2'),
      fe: q(0, 'lb/1000 ft2'),
    })
  })

  test.each([
    [
      'needs-analysis',
      [
        { rate: q(1, 'lb/ac'), basis: 'n' },
        { rate: q(1, 'lb/ac'), basis: 'active' },
      ],
    ],
    [
      'needs-active',
      [
        { rate: q(1, 'lb/ac'), basis: 'active' },
        { rate: q(1, 'lb/ac'), measureStep: q(5, 'mL') },
      ],
    ],
    ['needs-density', [{ rate: q(1, 'lb/ac'), measureStep: q(5, 'mL') }]],
  ])('%s', async (code, products) => {
    expect(await client.post('/api/plan', request(products))).toMatchObject({
      status: 422,
      body: { error: { code } },
    })
  })

  test('too many loads, and a thousand of them', async () => {
    const tank = (gallons: number) =>
      client.post(
        '/api/plan',
        request([{ rate: q(1, 'fl oz/1000 ft2') }], { tank: q(gallons, 'gal') }, [q(1000, '1000 ft2')]),
      )
    expect((await tank(1.3)).status).toBe(200)
    expect(await tank(1.29)).toMatchObject({ status: 422, body: { error: { code: 'too-many-loads' } } })
  })
})
