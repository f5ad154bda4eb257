import { readPositive } from '../quantity/entered'
import { amountFactor, type Quantity } from '../quantity/quantity'
import { dimensionOf, type Dimension } from '../quantity/rateUnit'
import type { DensityUnit } from '../quantity/units'
import { betweenDimensions } from './asProduct'
import type { Package } from './productShape'

/**
 * What one package holds, kg or m3 of the dimension asked for; undefined where its size can't be read, or the
 * density between the two is not known.
 */
export function packageSize(
  { size }: Pick<Package, 'size'>,
  dimension: Dimension,
  density?: Quantity<DensityUnit>,
): number | undefined {
  const read = readPositive(size, 'amount', 'Package')
  const conversion = read.ok
    ? betweenDimensions(dimensionOf(read.value.unit), dimension, density, '')
    : undefined
  return read.ok && conversion?.ok
    ? read.value.value * amountFactor(read.value.unit) * conversion.value
    : undefined
}
