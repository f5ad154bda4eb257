import * as fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { amountFactor, quantity, type Quantity } from '../quantity/quantity'
import type { AmountUnit, MassUnit } from '../quantity/units'
import { typed } from '../../demo/typed'
import { hopperCharge } from './hopperCharge'
import { inMeasures } from './inMeasures'
import { lightPasses } from './lightPasses'
import { loadsByArea } from './loads'
import { planApplication } from './planApplication'
import type { PlanArea, PlanRequest } from './planRequest'
import { NUTRIENT_UNIT } from '../quantity/nutrientText'
import { nutrientOn } from './areaNutrients'
import { tubFills } from './tubFills'

const of = (text: string) => {
  const [value = '', ...unit] = text.trim().split(' ')
  return quantity(Number(value), unit.join(' ') as AmountUnit)
}

test.each(readTable('ownRates.csv', import.meta.url))('$name: $words', (row) => {
  const areas = (row.areas ?? '').split('; ').map((text): PlanArea => {
    const [id = '', size = '', rate] = text.split(' ')
    return {
      id,
      name: id,
      size: quantity(Number(size), 'ft2'),
      ...(rate && { rates: [{ id: 'p', rate: quantity(Number(rate), 'lb/1000 ft2') }] }),
    }
  })
  const request: PlanRequest = {
    areas,
    products: [
      { id: 'p', rate: quantity(figure(row, 'usual'), 'lb/1000 ft2'), analysis: { n: figure(row, 'n') } },
    ],
    method: { kind: 'spread', passes: 2, reserve: quantity(figure(row, 'reserve'), 'lb') },
  }
  const planned = planApplication(request)
  if (!planned.ok) throw new Error(planned.error[0]?.message)
  const { areas: told, totals, nutrients, rates } = planned.value
  expect(told.map(({ products }) => products[0]?.amount.value)).toEqual(
    (row.amounts ?? '').split('; ').map((one) => expect.closeTo(Number(one), 9)),
  )
  const [total] = totals.products
  expect(total?.amount.value).toBeCloseTo(figure(row, 'total'), 9)
  expect(total?.charge?.value).toBeCloseTo(figure(row, 'charge'), 9)
  expect(total?.measuredRate.value).toBeCloseTo(figure(row, 'meanRate'), 9)
  expect(nutrients?.n.value).toBeCloseTo(figure(row, 'nitrogen'), 9)
  const groups = (row.groups ?? '').split('; ')
  expect(
    (rates ?? []).map(
      ({ areas: ids, products }) => `${ids.join('+')} ${products[0]?.amount.value.toFixed(6)}`,
    ),
  ).toEqual(
    groups.length === 1 && !rates
      ? []
      : groups.map((one) => `${one.split(' ')[0]} ${Number(one.split(' ')[1]).toFixed(6)}`),
  )
  // The nitrogen of one lawn follows from what that lawn gets.
  const lawns = areas.reduce(
    (sum, { id, size }) => sum + nutrientOn(id, 'n', request, planned.value).known * size.value,
    0,
  )
  const perArea = lawns / areas.reduce((sum, { size }) => sum + size.value, 0)
  expect(perArea / NUTRIENT_UNIT).toBeCloseTo(figure(row, 'nitrogen'), 9)
})

test.each(readTable('loadsByArea.csv', import.meta.url))('$name: $words', (row) => {
  const loads = loadsByArea(
    (row.sprays ?? '').split(';').map(Number),
    figure(row, 'tank'),
    figure(row, 'dead'),
    2,
  )
  expect(loads.map(({ carrier }) => carrier)).toEqual(
    (row.carriers ?? '').split(';').map((one) => expect.closeTo(Number(one), 9)),
  )
  expect(loads.map(({ areas }) => (areas ?? []).map((place) => place + 1).join('+')).join(';')).toBe(
    row.areas,
  )
})

test.each(readTable('inMeasures.csv', import.meta.url))(
  '$amount by $tools: $arithmetic',
  ({ amount = '', tools = '', words, off }) => {
    const list = tools.split(';').map((text, i) => {
      const parts = text.split(' ')
      return {
        id: String(i),
        tool: parts[0] ?? '',
        marks: parts.at(-1) ?? '',
        holds: typed(parts[1] ?? '', parts.slice(2, -1).join(' ') as AmountUnit),
      }
    })
    const told = inMeasures(of(amount), list)
    expect(told?.words ?? '').toBe((words ?? '').replace(' -', ' −'))
    if (off) expect(told?.off).toBeCloseTo(Number(off), 9)
  },
)

test.each(readTable('hopperCharge.csv', import.meta.url))('$name: $words', (row) => {
  const { step, reserve } = row
  const request: PlanRequest = {
    areas: [{ id: 'a', size: quantity(figure(row, 'size'), 'ft2') }],
    products: [
      { id: 'p', rate: quantity(figure(row, 'rate'), 'lb/1000 ft2'), ...(step && { measureStep: of(step) }) },
    ],
    method: { kind: 'spread', passes: 2, ...(reserve && { reserve: of(reserve) as Quantity<MassUnit> }) },
  }
  const planned = planApplication(request)
  const close = (text = '') => ({ value: expect.closeTo(of(text).value, 9), unit: of(text).unit })
  expect(planned.ok && hopperCharge(request, planned.value)).toEqual({
    measured: close(row.measured),
    reserve: close(row.left),
    weighIn: close(row.weighIn),
  })
})

test.each(readTable('tubFills.csv', import.meta.url))(
  '$charge in $capacity: $words',
  ({ charge = '', capacity = '', tare = '', fills = '' }) => {
    const mass = (text: string) => of(text) as Quantity<MassUnit>
    const told = tubFills(mass(charge), mass(capacity), tare ? mass(tare) : undefined)
    expect(told.map(({ count, net, shows }) => [count, net.value, shows.value])).toEqual(
      fills.split('; ').map((fill) => {
        const [, count, net, shows] = /^(\d+) x (\S+) shows (\S+)$/.exec(fill) ?? []
        return [Number(count), expect.closeTo(Number(net), 9), expect.closeTo(Number(shows), 9)]
      }),
    )
  },
)

test.each(readTable('lightPasses.csv', import.meta.url))('$whole by $perPass: $words', (row) => {
  const told = lightPasses(figure(row, 'whole'), figure(row, 'perPass'))
  expect(told.passes).toBe(figure(row, 'passes'))
  expect(told.last).toBeCloseTo(figure(row, 'last'), 9)
})

test('whatever the rates: loads sum to the mix, areas to the total', () => {
  const rate = fc.double({ min: 0.2, max: 6, noNaN: true })
  const area = fc.record({ size: fc.double({ min: 60, max: 40_000, noNaN: true }), own: fc.option(rate) })
  fc.assert(
    fc.property(
      fc.array(area, { minLength: 1, maxLength: 7 }),
      rate,
      fc.constantFrom('full-then-part' as const, 'equal' as const, 'by-area' as const),
      fc.double({ min: 0, max: 2, noNaN: true }),
      (lawns, usual, loads, dead) => {
        const most = 6.2
        const request: PlanRequest = {
          areas: lawns.map(({ size, own }, i) => ({
            id: `a${i}`,
            size: quantity(size, 'ft2'),
            ...(own !== null && { rates: [{ id: 'p', rate: quantity(own, 'fl oz/1000 ft2') }] }),
          })),
          products: [
            {
              id: 'p',
              rate: quantity(usual, 'fl oz/1000 ft2'),
              limits: { maxPerApplication: quantity(most, 'fl oz/1000 ft2') },
              measureStep: quantity(5, 'mL'),
            },
          ],
          method: {
            kind: 'spray',
            carrier: quantity(1.3, 'gal/1000 ft2'),
            tank: quantity(26, 'gal'),
            loads,
            dead: quantity(dead, 'gal'),
          },
        }
        const planned = planApplication(request)
        if (!planned.ok) throw new Error(planned.error[0]?.message)
        const { totals, loads: told, areas, rates } = planned.value
        const [total] = totals.products
        expect(told.reduce((sum, { carrier }) => sum + carrier.value, 0)).toBeCloseTo(
          totals.mix?.value ?? 0,
          6,
        )
        expect(told.reduce((sum, { size }) => sum + size.value, 0)).toBeCloseTo(totals.size.value, 5)
        expect(told.reduce((sum, { products }) => sum + (products[0]?.amount.value ?? 0), 0)).toBeCloseTo(
          total?.mix?.value ?? 0,
          6,
        )
        expect(areas.reduce((sum, { products }) => sum + (products[0]?.amount.value ?? 0), 0)).toBeCloseTo(
          total?.amount.value ?? 0,
          6,
        )
        for (const { carrier, products } of told) {
          const covered = carrier.value / 1.3
          expect(
            ((products[0]?.measured.value ?? 0) * amountFactor('mL')) / amountFactor('fl oz') / covered,
          ).toBeLessThanOrEqual(most * (1 + 1e-9))
        }
        expect(rates === undefined || rates.flatMap(({ areas: ids }) => ids).length === lawns.length).toBe(
          true,
        )
      },
    ),
    { numRuns: 200 },
  )
})

test('a rate of a lawn’s own is told like the product’s, belongs to a product, and stands once', () => {
  const request = (rates: PlanArea['rates']): PlanRequest => ({
    areas: [{ id: 'a', size: quantity(1000, 'ft2'), ...(rates && { rates }) }],
    products: [{ id: 'p', rate: quantity(3, 'lb/1000 ft2') }],
    method: { kind: 'spread', passes: 1 },
  })
  const path = (rates: PlanArea['rates']) => {
    const planned = planApplication(request(rates))
    return planned.ok ? 'ok' : planned.error[0]?.path
  }
  expect(path([{ id: 'p', rate: quantity(20, 'g/m2') }])).toBe('ok')
  expect(path([{ id: 'q', rate: quantity(3, 'lb/1000 ft2') }])).toBe('areas.0.rates.0.id')
  expect(path([{ id: 'p', rate: quantity(3, 'fl oz/1000 ft2') }])).toBe('areas.0.rates.0.rate.unit')
  expect(
    path([
      { id: 'p', rate: quantity(3, 'lb/1000 ft2') },
      { id: 'p', rate: quantity(2, 'lb/1000 ft2') },
    ]),
  ).toBe('areas.0.rates.1.id')
  expect(
    path([
      {
        id: 'p',
        rate: quantity(3, 'lb/1000 ft2'),
        limits: { low: quantity(4, 'lb/1000 ft2'), high: quantity(2, 'lb/1000 ft2') },
      },
    ]),
  ).toBe('areas.0.rates.0.limits.low')
})
