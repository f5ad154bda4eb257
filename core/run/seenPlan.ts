import { amountFactor, squareMetres, type Quantity } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import { showQuantity, showSize, type UnitSystem } from '../quantity/systems'
import { TRADE_UNITS } from '../quantity/nutrientText'
import { isSameFigure } from '../quantity/tolerance'
import type { AmountUnit } from '../quantity/units'
import type { SeenPlan } from './carriedShape'
import type { FrozenPlan } from './runEvent'

export const seenPlan = ({ coreVersion, plan, worked }: FrozenPlan): SeenPlan => ({
  coreVersion,
  sizeM2: plan.totals.size.value,
  products: plan.totals.products.map(({ id, measured }) => ({ id, amount: measured })),
  loads: plan.loads.length,
  stops: (worked?.checks ?? []).flatMap(({ level, message }) => (level === 'stop' ? [message] : [])),
})

/**
 * Where the plan that was carried out without a network differs from the one worked out when it arrived; both
 * are kept.
 */
export function planDifferences(
  { plan, labels, request, worked, seen }: FrozenPlan,
  units: UnitSystem = request.units ?? TRADE_UNITS,
): readonly string[] {
  if (!seen) return []
  const size = (value: number) => {
    const { figure, unit } = showSize(squareMetres(value), units)
    return `${figure} ${unit}`
  }
  const told = (amount: Quantity<AmountUnit>) => `${showQuantity(amount).figure} ${showQuantity(amount).unit}`
  const stops = (worked?.checks ?? []).flatMap(({ level, message }) => (level === 'stop' ? [message] : []))
  return [
    ...(isSameFigure(seen.sizeM2, plan.totals.size.value)
      ? []
      : [
          `The phone counted ${size(seen.sizeM2)} of lawn, the library says ${size(plan.totals.size.value)}.`,
        ]),
    ...seen.products.flatMap(({ id, amount }) => {
      const now = plan.totals.products.find((one) => one.id === id)?.measured
      const name = labels.find(({ productId }) => productId === id)?.name || 'A product'
      if (!now) return [`${name} is not in the plan any more: the phone measured out ${told(amount)}.`]
      return dimensionOf(now.unit) === dimensionOf(amount.unit) &&
        isSameFigure(now.value * amountFactor(now.unit), amount.value * amountFactor(amount.unit))
        ? []
        : [`${name}: the phone measured out ${told(amount)}, by the library it is ${told(now)}.`]
    }),
    ...(seen.loads === plan.loads.length
      ? []
      : [`The phone mixed ${seen.loads} loads, by the library it is ${plan.loads.length}.`]),
    ...stops.filter((stop) => !seen.stops.includes(stop)).map((stop) => `The phone did not know: ${stop}`),
    ...seen.stops.map((stop) => `Carried out although: ${stop}`),
  ]
}
