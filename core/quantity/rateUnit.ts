import { amountFactor } from './quantity'
import {
  isMassUnit,
  SQUARE_METRES_PER,
  type AmountUnit,
  type AreaRateUnit,
  type AreaUnit,
  type DilutionUnit,
  type RateUnit,
} from './units'

export type Dimension = 'mass' | 'volume'

/**
 * What a rate unit is made of. `per: 'area'` counts kg or m3 on each m2 of ground; `per: 'spray'` counts kg
 * or m3 in each m3 of finished spray. `factor` takes a figure in this unit to SI.
 */
export interface RateUnitParts {
  readonly per: 'area' | 'spray'
  readonly dimension: Dimension
  /** The unit the amount is told in; undefined for per cent, which takes the carrier's unit. */
  readonly amountUnit: AmountUnit | undefined
  readonly factor: number
}

export const dimensionOf = (unit: AmountUnit): Dimension => (isMassUnit(unit) ? 'mass' : 'volume')

const DILUTIONS: Readonly<Record<DilutionUnit, RateUnitParts>> = {
  'fl oz/gal': dilution('fl oz', amountFactor('fl oz') / amountFactor('gal')),
  'mL/L': dilution('mL', 0.001),
  '%': { per: 'spray', dimension: 'volume', amountUnit: undefined, factor: 0.01 },
  'oz/gal': dilution('oz', amountFactor('oz') / amountFactor('gal')),
  'g/L': dilution('g', 1),
  'lb/gal': dilution('lb', amountFactor('lb') / amountFactor('gal')),
}

function dilution(amountUnit: AmountUnit, factor: number): RateUnitParts {
  return { per: 'spray', dimension: dimensionOf(amountUnit), amountUnit, factor }
}

const isDilution = (unit: RateUnit): unit is DilutionUnit => Object.hasOwn(DILUTIONS, unit)

/** Splits an area rate unit at its slash: 'lb/1000 ft2' is lb on 1000 ft2. */
export function splitAreaRate(unit: AreaRateUnit): { readonly amount: AmountUnit; readonly area: AreaUnit } {
  const slash = unit.indexOf('/')
  return { amount: unit.slice(0, slash) as AmountUnit, area: unit.slice(slash + 1) as AreaUnit }
}

const known = new Map<RateUnit, RateUnitParts>()

/**
 * The parts of a rate unit.
 * @example rateUnitParts('lb/1000 ft2') // { per: 'area', dimension: 'mass', amountUnit: 'lb', factor:
 *   0.004882… }
 */
export function rateUnitParts(unit: RateUnit): RateUnitParts {
  if (isDilution(unit)) return DILUTIONS[unit]
  const before = known.get(unit)
  if (before) return before
  const { amount, area } = splitAreaRate(unit)
  const parts: RateUnitParts = {
    per: 'area',
    dimension: dimensionOf(amount),
    amountUnit: amount,
    factor: amountFactor(amount) / SQUARE_METRES_PER[area],
  }
  known.set(unit, parts)
  return parts
}
