import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { formatArea, formatDeviation, formatFigure, formatGive } from './format'
import { parseQuantity, type Kind } from './parseQuantity'
import { amountFactor, squareMetres } from './quantity'
import { rateUnitParts } from './rateUnit'
import { showAmount, showRates, showSize, UNIT_SYSTEMS } from './systems'
import {
  AMOUNT_UNITS,
  CUBIC_METRES_PER,
  DENSITY_SI_PER,
  KILOGRAMS_PER,
  METRES_PER,
  METRES_PER_SECOND_PER,
  SECONDS_PER,
  RATE_UNITS,
  SQUARE_METRES_PER,
} from './units'

const FACTORS: Readonly<Record<string, Readonly<Record<string, number>>>> = {
  length: METRES_PER,
  area: SQUARE_METRES_PER,
  mass: KILOGRAMS_PER,
  volume: CUBIC_METRES_PER,
  speed: METRES_PER_SECOND_PER,
  time: SECONDS_PER,
  density: DENSITY_SI_PER,
}

test.each(readTable('units.csv', import.meta.url))('$value $unit is $si in SI: $words', (row) => {
  const factor = FACTORS[row.kind ?? '']?.[row.unit ?? ''] ?? Number.NaN
  expect((figure(row, 'value') * factor) / figure(row, 'si')).toBeCloseTo(1, 12)
})

test('check figures of the trade', () => {
  expect(rateUnitParts('lb/1000 ft2').factor / rateUnitParts('lb/ac').factor).toBeCloseTo(43.56, 10)
  expect(rateUnitParts('lb/1000 ft2').factor / rateUnitParts('kg/ha').factor).toBeCloseTo(48.8243, 4)
  expect(rateUnitParts('fl oz/1000 ft2').factor / rateUnitParts('gal/ac').factor).toBeCloseTo(0.3403125, 10)
  expect(rateUnitParts('fl oz/1000 ft2').factor / rateUnitParts('mL/100 m2').factor).toBeCloseTo(31.8327, 4)
})

test.each(readTable('parseQuantity.csv', import.meta.url))('$typed as $kind: $words', (row) => {
  const result = parseQuantity(row.typed ?? '', row.kind as Kind, row.unit as never)
  if (row.error) expect(result).toMatchObject({ ok: false, error: { kind: row.error } })
  else {
    expect(result).toMatchObject({ ok: true, value: { unit: row.read } })
    expect(result.ok && result.value.value).toBeCloseTo(figure(row, 'value'), 12)
  }
})

test('an error says what would be right', () => {
  const refused = parseQuantity('2,5', 'length', 'ft')
  expect(refused.ok ? '' : refused.error.message).toContain('2.5 or 25')
})

test.each(readTable('format.csv', import.meta.url))('$value shows as $shown', (row) => {
  expect(formatFigure(figure(row, 'value'))).toBe(row.shown)
})

test('sizes, uncertainties and deviations', () => {
  expect([
    formatArea(5868, 'ft2'),
    formatArea(5864.9, 'ft2'),
    formatArea(545.34, 'm2'),
    formatArea(42, 'ft2'),
  ]).toEqual(['5,870', '5,860', '545', '42.0'])
  expect([formatGive(1.5412), formatGive(453), formatGive(0.0949)]).toEqual(['1.5', '450', '0.095'])
  expect([formatDeviation(-0.0342), formatDeviation(0.1), formatDeviation(0.0001)]).toEqual([
    '−3.4 %',
    '+10.0 %',
    '0.0 %',
  ])
  expect(UNIT_SYSTEMS.map((system) => showSize(squareMetres(545.34), system))).toEqual([
    { figure: '5,870', unit: 'ft²' },
    { figure: '0.1348', unit: 'ac' },
    { figure: '545', unit: 'm²' },
    { figure: '0.0545', unit: 'ha' },
  ])
  expect(showAmount(0.4, 'mass', 'us-1000')).toEqual({ figure: '14.11', unit: 'oz' })
})

describe('properties', () => {
  const positive = fc.double({ min: 1e-6, max: 1e6, noNaN: true })

  test('what is written as a plain figure with its unit is read back', () => {
    fc.assert(
      fc.property(positive, fc.constantFrom(...AMOUNT_UNITS), (value, unit) => {
        const text = value.toFixed(8)
        expect(parseQuantity(`${text} ${unit}`, 'amount', 'kg')).toEqual({
          ok: true,
          value: { value: Number(text), unit },
        })
      }),
    )
  })

  test('every rate unit is read as itself and converts there and back', () => {
    fc.assert(
      fc.property(positive, fc.constantFrom(...RATE_UNITS), fc.constantFrom(...RATE_UNITS), (value, a, b) => {
        expect(parseQuantity(`2 ${a}`, 'rate', b)).toEqual({ ok: true, value: { value: 2, unit: a } })
        const back =
          (((value * rateUnitParts(a).factor) / rateUnitParts(b).factor) * rateUnitParts(b).factor) /
          rateUnitParts(a).factor
        expect(back / value).toBeCloseTo(1, 12)
      }),
    )
  })

  test('a shown figure is within half of its last digit', () => {
    fc.assert(
      fc.property(positive, (value) => {
        expect(Math.abs(Number(formatFigure(value).replaceAll(',', '')) / value - 1)).toBeLessThanOrEqual(
          0.005 + 1e-12,
        )
      }),
    )
  })

  test('no text makes the parser throw, and no figure comes out without its unit', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.string(), fc.stringMatching(/^[-\d ,./'"a-z½%]{0,24}$/)),
        fc.constantFrom<Kind>('length', 'area', 'amount', 'rate', 'carrier'),
        (text, kind) => {
          const result = parseQuantity(text, kind, 'ft' as never)
          if (result.ok)
            expect(Number.isFinite(result.value.value) && result.value.unit.length > 0).toBe(true)
          else expect(result.error.message.length).toBeGreaterThan(5)
        },
      ),
      { numRuns: 2000 },
    )
  })

  test('every factor is above zero', () => {
    for (const unit of AMOUNT_UNITS) expect(amountFactor(unit)).toBeGreaterThan(0)
  })
})

test('rates that are told together stand in one unit, the one that suits the largest', () => {
  const pounds = (value: number) => (value * KILOGRAMS_PER.lb) / SQUARE_METRES_PER['1000 ft2']
  // 0.05 lb alone is told in ounces; beside 0.714 lb it is not.
  expect([
    showRates([pounds(0.05)], 'mass', 'us-1000'),
    showRates([pounds(0.05), pounds(0.714)], 'mass', 'us-1000'),
  ]).toEqual([
    { figures: ['0.800'], unit: 'oz / 1,000 ft²' },
    { figures: ['0.0500', '0.714'], unit: 'lb / 1,000 ft²' },
  ])
})
