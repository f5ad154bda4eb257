import { amountFactor, type Quantity } from '../../quantity/quantity'
import {
  isMassUnit,
  type AmountUnit,
  type AreaRateUnit,
  type CarrierUnit,
  type RateUnit,
} from '../../quantity/units'
import type { PrintedRate } from './phrases'

type Per = NonNullable<PrintedRate['per']>

/**
 * A printed figure in a unit that rates are told in: ground of 5,000 square feet or 10 square metres becomes
 * 1,000 or 100, a dilution in 100 gallons that in one.
 * @example 3 lb per 5,000 sq ft is 0.6 lb/1000 ft2
 */
export function rateIn(value: number, unit: AmountUnit | '%', per: Per): Quantity<RateUnit> | undefined {
  if (per.of === 'percent' || unit === '%') return unit === '%' ? { value, unit: '%' } : undefined
  return per.of === 'area' ? onGround(value, unit, per) : inSpray(value, unit, per)
}

function onGround(
  value: number,
  amount: AmountUnit,
  { unit, count }: Extract<Per, { of: 'area' }>,
): Quantity<AreaRateUnit> {
  const whole: Readonly<Record<string, number>> = { ft2: 1000, m2: 100 }
  const wanted = whole[unit]
  if (wanted === undefined) return { value: value / count, unit: `${amount}/${unit}` as AreaRateUnit }
  if (count === 1) return { value, unit: `${amount}/${unit}` as AreaRateUnit }
  return {
    value: count === wanted ? value : (value * wanted) / count,
    unit: `${amount}/${wanted} ${unit}` as AreaRateUnit,
  }
}

function inSpray(
  value: number,
  amount: AmountUnit,
  { unit, count }: Extract<Per, { of: 'spray' }>,
): Quantity<RateUnit> {
  const one = value / count
  if (isMassUnit(amount)) {
    if (unit === 'gal' && (amount === 'oz' || amount === 'lb')) return { value: one, unit: `${amount}/gal` }
    // Kilograms in a cubic metre are grams in a litre.
    return { value: (one * amountFactor(amount)) / amountFactor(unit), unit: 'g/L' }
  }
  if (unit === 'gal' && amount !== 'mL' && amount !== 'L')
    return { value: (one * amountFactor(amount)) / amountFactor('fl oz'), unit: 'fl oz/gal' }
  return { value: ((one * amountFactor(amount)) / amountFactor(unit)) * 1000, unit: 'mL/L' }
}

/** Spray on ground, as carriers are told. */
export function carrierIn(
  value: number,
  unit: AmountUnit,
  per: Extract<Per, { of: 'area' }>,
): Quantity<CarrierUnit> {
  const { value: figure, unit: told } = onGround(value, unit, per)
  return { value: figure, unit: told as CarrierUnit }
}
