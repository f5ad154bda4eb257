import { densitySi, type Quantity } from '../quantity/quantity'
import type { Dimension } from '../quantity/rateUnit'
import { DENSITY_SI_PER, type ContentUnit, type DensityUnit } from '../quantity/units'

/**
 * Kg of active in each SI unit (kg or m3) of product.
 * @returns undefined where the density that it takes is not known
 */
export function activePerProduct(
  { value, unit }: Quantity<ContentUnit>,
  dimension: Dimension,
  density: Quantity<DensityUnit> | undefined,
): number | undefined {
  const perCubicMetre = density && densitySi(density)
  if (unit === '%') return dimension === 'mass' ? value / 100 : perCubicMetre && (value / 100) * perCubicMetre
  const inVolume = value * DENSITY_SI_PER[unit]
  return dimension === 'volume' ? inVolume : perCubicMetre && inVolume / perCubicMetre
}
