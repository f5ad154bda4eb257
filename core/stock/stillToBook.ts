import { sumOf } from '../quantity/counting'
import { amountFactor, type Quantity } from '../quantity/quantity'
import type { AmountUnit } from '../quantity/units'

/** Below a thousandth of a gram or millilitre nothing moved. */
const NOTHING = 1e-9

/**
 * What must still be booked so that the stock says what was used: less what is booked already. SI, negative
 * where it leaves the shelf.
 * @returns undefined where nothing is missing
 */
export function stillToBook(
  used: Quantity<AmountUnit>,
  booked: readonly { readonly amount: number }[],
): number | undefined {
  const amount = -used.value * amountFactor(used.unit) - sumOf(booked, (one) => one.amount)
  return Math.abs(amount) < NOTHING ? undefined : amount
}
