import { amountFactor, type Quantity } from '../quantity/quantity'
import type { AmountUnit, MassUnit } from '../quantity/units'

/** One weighing: what goes in, and what the display reads with the tub on it. */
export interface TubFill { readonly count: number; readonly net: Quantity<AmountUnit>; readonly shows: Quantity<AmountUnit> }

/**
 * A charge in weighings of a tub: full ones, then the rest.
 * @param capacity what one weighing may hold, the tub not counted; @param tare the empty tub
 * @returns all in the unit of the charge
 * Source: trade.md 6, fills of the weighing tub.
 * @example 46.3 lb in a tub of 20 lb that weighs 1.5 lb: two of 20 lb (21.5 on the display), one of 6.3 lb (7.8)
 */
export function tubFills(charge: Quantity<MassUnit>, capacity: Quantity<MassUnit>, tare: Quantity<MassUnit> | undefined): readonly TubFill[] {
  const unit = amountFactor(charge.unit)
  const most = (capacity.value * amountFactor(capacity.unit)) / unit
  const tub = tare ? (tare.value * amountFactor(tare.unit)) / unit : 0
  const full = Math.floor(charge.value / most + 1e-9)
  const rest = charge.value - full * most
  const fill = (count: number, net: number): TubFill => ({ count, net: { value: net, unit: charge.unit }, shows: { value: net + tub, unit: charge.unit } })
  return [...(full > 0 ? [fill(full, most)] : []), ...(rest > most * 1e-9 ? [fill(1, rest)] : [])]
}
