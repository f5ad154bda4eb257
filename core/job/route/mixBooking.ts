import { sumOf } from '../../quantity/counting'
import { amountFactor, type Quantity } from '../../quantity/quantity'
import type { AmountUnit } from '../../quantity/units'
import type { MixStop, SharedMix } from './sharedMix'

/** What one site of a common mix has to do with: everything in the tank there, and the product in it. */
export interface MixBooking {
  readonly made: Quantity<AmountUnit>
  /** By the product's name, as ids differ from job to job; in the unit it is measured in. */
  readonly putIn: readonly { readonly name: string; readonly amount: Quantity<AmountUnit> }[]
  readonly left: Quantity<AmountUnit>
}

/**
 * What is booked to one site: the spray it found in the tank and what was mixed there, at one strength; what
 * is left drives on.
 * @param carried spray really left by the site before; undefined: as planned
 */
export function mixBooking(mix: SharedMix, stop: MixStop, carried?: Quantity<AmountUnit>): MixBooking {
  const { plan } = mix
  const unit = plan.totals.mix?.unit ?? 'gal'
  const arrives = carried ? (carried.value * amountFactor(carried.unit)) / amountFactor(unit) : stop.arrives
  const made = arrives + sumOf(stop.makes, ({ carrier }) => carrier.value)
  const whole = plan.totals.mix?.value ?? 1
  return {
    made: { value: made, unit },
    putIn: plan.totals.products.map((total, i) => {
      const fresh = sumOf(stop.makes, ({ products }) => products[i]?.measured.value ?? 0)
      return {
        name: mix.request.products[i]?.name ?? '',
        amount: { value: fresh + (total.measured.value * arrives) / whole, unit: total.measured.unit },
      }
    }),
    left: { value: Math.max(0, made - stop.takes), unit },
  }
}
