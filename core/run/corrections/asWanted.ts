import { amountFactor, type Quantity } from '../../quantity/quantity'
import { dimensionOf } from '../../quantity/rateUnit'
import { isSameFigure } from '../../quantity/tolerance'
import type { AmountUnit } from '../../quantity/units'

/** Whether what was measured is what was wanted, whatever unit it was told in. */
export const isNearTo = (real: Quantity<AmountUnit>, wanted: Quantity<AmountUnit>): boolean =>
  dimensionOf(real.unit) === dimensionOf(wanted.unit) &&
  isSameFigure(real.value * amountFactor(real.unit), wanted.value * amountFactor(wanted.unit))
