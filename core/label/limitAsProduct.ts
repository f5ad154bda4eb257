import { rateUnitParts, splitAreaRate } from '../quantity/rateUnit'
import { AREA_RATE_UNITS, type AreaRateUnit } from '../quantity/units'
import { doseOf } from './dose'
import type { LabelledProduct, Rate, RateBasis } from './label'

/**
 * A limit that is printed in a nutrient or an active, as product on the same ground: what a rate in product
 * is held against.
 * @param basis what the limit counts
 * @returns undefined where the label does not tell how much the product holds, or the limit is a dilution
 * Source: trade.md 5, a limit in nutrient or active is compared in nutrient or active.
 * @example 1 lb N/1000 ft2 of a 20 % product is 5 lb/1000 ft2 of it
 */
export function limitAsProduct(
  product: Pick<LabelledProduct, 'id' | 'analysis' | 'actives'>,
  limit: Rate,
  basis: RateBasis,
): Rate | undefined {
  if (basis === 'product') return limit
  const unit = AREA_RATE_UNITS.find((one) => one === limit.unit)
  const dose = unit && doseOf({ ...product, rate: limit, basis }, undefined)
  if (!unit || !dose?.ok) return undefined
  const counted = `${dose.value.unit}/${splitAreaRate(unit).area}` as AreaRateUnit
  return { value: dose.value.perArea / rateUnitParts(counted).factor, unit: counted }
}
