import type { Quantity } from '../quantity/quantity'
import type { AmountUnit } from '../quantity/units'

/** What should be left in the hopper after a pass; the reserve comes back after the last. */
export interface ChargeLevel {
  readonly pass: number
  readonly left: Quantity<AmountUnit>
}

/**
 * Checkpoints of a dry charge, one after each pass. All in the unit of the charge.
 * @example charge 16.3 lb of which 13.3 lb for two passes: 9.65 lb after the first, 3 lb after the second
 */
export function chargeLevels(charge: Quantity<AmountUnit>, amount: Quantity<AmountUnit>, passes: number): readonly ChargeLevel[] {
  return Array.from({ length: passes }, (_, i) => ({
    pass: i + 1, left: { value: charge.value - (amount.value * (i + 1)) / passes, unit: charge.unit },
  }))
}
