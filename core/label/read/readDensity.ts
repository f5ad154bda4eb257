import { readPositive, type Entered } from '../../quantity/entered'
import type { Quantity } from '../../quantity/quantity'
import type { DensityUnit } from '../../quantity/units'
import { remembered } from '../../remembered'

/**
 * The density of a label, in the unit it was typed in; undefined while it is blank or wrong.
 * Source: trade.md 5.
 */
export const readDensity = remembered((entered: Entered<DensityUnit>): Quantity<DensityUnit> | undefined => {
  const read = readPositive(entered, 'density', 'Density')
  return read.ok ? read.value : undefined
})
