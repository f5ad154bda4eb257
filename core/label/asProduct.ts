import { densitySi, type Quantity } from '../quantity/quantity'
import { rateUnitParts, type Dimension } from '../quantity/rateUnit'
import type { DensityUnit } from '../quantity/units'
import { err, ok, type Result } from '../result'
import type { Carrier } from './dose'
import type { LabelIssue, LabelLimits, Rate } from './label'

/**
 * Factor from an SI amount of one dimension (kg or m3) to another, through the product's density and nothing
 * else.
 * @returns error `needs-density` when the dimensions differ and no density is known: never a guess.
 */
export function betweenDimensions(
  from: Dimension,
  to: Dimension,
  density: Quantity<DensityUnit> | undefined,
  path: string,
): Result<number, LabelIssue> {
  if (from === to) return ok(1)
  if (!density) {
    return err({
      code: 'needs-density',
      path,
      message:
        `This compares a ${from} with a ${to}: enter the product's density from its label (lb/gal or ` +
        'kg/L).',
    })
  }
  const perCubicMetre = densitySi(density)
  return ok(to === 'mass' ? perCubicMetre : 1 / perCubicMetre)
}

/**
 * A limit of product in any unit, as SI product per m2 in the dose's own dimension (kg or m3).
 * @returns errors `needs-carrier` (a dilution limit on a dry method), `needs-density`
 */
export function limitPerArea(
  limit: Rate,
  name: keyof LabelLimits,
  dimension: Dimension,
  {
    carrier,
    density,
  }: { readonly carrier: Carrier | undefined; readonly density: Quantity<DensityUnit> | undefined },
): Result<number, LabelIssue> {
  const parts = rateUnitParts(limit.unit)
  const path = `limits.${name}.unit`
  if (parts.per === 'spray' && !carrier) {
    return err({
      code: 'needs-carrier',
      path,
      message:
        `A limit in ${limit.unit} counts product in the spray: choose a sprayed method, or enter the ` +
        'limit per area.',
    })
  }
  const conversion = betweenDimensions(parts.dimension, dimension, density, path)
  if (!conversion.ok) return conversion
  const ground = parts.per === 'spray' && carrier ? carrier.perArea : 1
  return ok(limit.value * parts.factor * conversion.value * ground)
}
