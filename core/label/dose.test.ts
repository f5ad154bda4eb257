import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { quantity } from '../quantity/quantity'
import { rateUnitParts } from '../quantity/rateUnit'
import { AREA_RATE_UNITS, DILUTION_UNITS, RATE_UNITS } from '../quantity/units'
import { betweenDimensions, limitPerArea } from './asProduct'
import { doseOf, type Carrier } from './dose'
import type { LabelledProduct } from './label'

const CARRIER: Carrier = { perArea: 0.00005, unit: 'L' }
const positive = fc.double({ min: 0.001, max: 1000, noNaN: true })
const product = (fields: Partial<LabelledProduct>): LabelledProduct => ({
  id: 'p',
  rate: quantity(1, 'lb/1000 ft2'),
  ...fields,
})
const perArea = (fields: Partial<LabelledProduct>, carrier: Carrier | undefined = CARRIER): number => {
  const dose = doseOf(product(fields), carrier)
  return dose.ok ? dose.value.perArea : Number.NaN
}

describe('every rate unit', () => {
  test('an area rate needs no carrier, a dilution always does', () => {
    for (const unit of AREA_RATE_UNITS)
      expect(doseOf(product({ rate: quantity(2, unit) }), undefined).ok, unit).toBe(true)
    for (const unit of DILUTION_UNITS) {
      expect(doseOf(product({ rate: quantity(2, unit) }), undefined), unit).toMatchObject({
        ok: false,
        error: { code: 'needs-carrier', path: 'rate.unit' },
      })
      expect(doseOf(product({ rate: quantity(2, unit) }), CARRIER).ok, unit).toBe(true)
    }
  })

  test('the dose grows in step with the rate', () => {
    fc.assert(
      fc.property(positive, fc.constantFrom(...RATE_UNITS), (value, unit) => {
        expect(
          perArea({ rate: quantity(value * 2, unit) }) / perArea({ rate: quantity(value, unit) }),
        ).toBeCloseTo(2, 10)
      }),
    )
  })

  test('amounts are told in the unit of the rate; per cent in the carrier’s', () => {
    const unitOf = (unit: (typeof RATE_UNITS)[number]) => {
      const dose = doseOf(product({ rate: quantity(1, unit) }), CARRIER)
      return dose.ok ? dose.value.unit : ''
    }
    for (const unit of AREA_RATE_UNITS) expect(unitOf(unit)).toBe(unit.split('/')[0])
    expect(unitOf('%')).toBe('L')
    expect(unitOf('oz/gal')).toBe('oz')
    expect(unitOf('mL/L')).toBe('mL')
  })
})

describe('targets', () => {
  test('a nutrient target is divided by its share, and the product carries exactly the target', () => {
    fc.assert(
      fc.property(positive, fc.double({ min: 0.1, max: 100, noNaN: true }), (target, percent) => {
        const dose = perArea(
          { rate: quantity(target, 'lb/1000 ft2'), basis: 'n', analysis: { n: percent } },
          undefined,
        )
        expect((dose * percent) / 100 / rateUnitParts('lb/1000 ft2').factor).toBeCloseTo(target, 6)
      }),
    )
  })

  test('an active by mass share gives mass', () => {
    const active = (unit: '%' | 'lb/gal' | 'g/L' | 'kg/L') =>
      doseOf(product({ basis: 'active', actives: [{ name: 'a', content: quantity(2, unit) }] }), undefined)
    expect(active('%')).toMatchObject({ ok: true, value: { dimension: 'mass', unit: 'lb' } })
    expect(active('lb/gal')).toMatchObject({ ok: true, value: { dimension: 'volume', unit: 'gal' } })
    expect(active('g/L')).toMatchObject({ ok: true, value: { dimension: 'volume', unit: 'L' } })
    expect(active('kg/L')).toMatchObject({ ok: true, value: { dimension: 'volume', unit: 'L' } })
  })

  test('only the first active counts', () => {
    const actives = [
      { name: 'first', content: quantity(50, '%') },
      { name: 'second', content: quantity(10, '%') },
    ] as const
    expect(perArea({ basis: 'active', actives })).toBeCloseTo(2 * rateUnitParts('lb/1000 ft2').factor, 12)
  })

  test('what is missing is named, with what would be right', () => {
    const issue = (fields: Partial<LabelledProduct>) => {
      const dose = doseOf(product(fields), CARRIER)
      return dose.ok ? undefined : dose.error
    }
    expect(issue({ basis: 'k2o', analysis: { n: 21 } })).toMatchObject({
      code: 'needs-analysis',
      path: 'analysis.k2o',
      message: expect.stringContaining('K2O'),
    })
    expect(issue({ basis: 'n', analysis: { n: 0 } })).toMatchObject({ code: 'needs-analysis' })
    expect(issue({ basis: 'active', actives: [] })).toMatchObject({ code: 'needs-active', path: 'actives' })
  })
})

describe('between mass and volume', () => {
  test('density and nothing else; there and back is where it began', () => {
    expect(betweenDimensions('mass', 'mass', undefined, 'x')).toEqual({ ok: true, value: 1 })
    expect(betweenDimensions('mass', 'volume', undefined, 'x')).toMatchObject({
      ok: false,
      error: { code: 'needs-density', path: 'x' },
    })
    const there = betweenDimensions('volume', 'mass', quantity(10.3, 'lb/gal'), 'x')
    const back = betweenDimensions('mass', 'volume', quantity(10.3, 'lb/gal'), 'x')
    // 10.3 lb/gal = 10.3 x 0.45359237 / 0.003785411784 = 1234.21 kg/m3
    expect(there.ok && there.value).toBeCloseTo(1234.2127, 3)
    expect(there.ok && back.ok && there.value * back.value).toBeCloseTo(1, 12)
  })

  test('a dilution limit becomes a limit of the ground by the carrier', () => {
    const limit = limitPerArea(quantity(2, '%'), 'high', 'volume', { carrier: CARRIER, density: undefined })
    expect(limit.ok && limit.value).toBeCloseTo(0.02 * 0.00005, 15)
    expect(
      limitPerArea(quantity(2, '%'), 'high', 'mass', { carrier: undefined, density: undefined }),
    ).toMatchObject({
      ok: false,
      error: { code: 'needs-carrier' },
    })
    expect(
      limitPerArea(quantity(2, '%'), 'high', 'mass', { carrier: CARRIER, density: undefined }),
    ).toMatchObject({
      ok: false,
      error: { code: 'needs-density' },
    })
  })
})
