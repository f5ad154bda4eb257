import { amountFactor, type Quantity, type SquareMetres } from '../../quantity/quantity'
import { dimensionOf } from '../../quantity/rateUnit'
import type { AmountUnit } from '../../quantity/units'
import type { FrozenPlan } from '../runEvent'
import { mostOfMix } from './mostOfLabel'
import type { WeighingQuestion } from './weighing'

/** What is to be weighed or poured, and how much of it goes onto the ground. */
export interface WeighingWanted {
  readonly productId: string
  readonly wanted: Quantity<AmountUnit>
  readonly forGround: Quantity<AmountUnit>
  readonly size: SquareMetres
}

/**
 * The question of one display, all in the unit of what is wanted.
 * @param shown what the display says
 * @returns undefined where a weight is held against a volume
 */
export function askWeighing(
  { request }: FrozenPlan,
  { productId, wanted, forGround, size }: WeighingWanted,
  shown: Quantity<AmountUnit>,
): WeighingQuestion | undefined {
  const { unit } = wanted
  if (dimensionOf(shown.unit) !== dimensionOf(unit)) return undefined
  const inUnit = (amount: Quantity<AmountUnit>) =>
    (amount.value * amountFactor(amount.unit)) / amountFactor(unit)
  const step = request.products.find(({ id }) => id === productId)?.measureStep
  return {
    wanted: wanted.value,
    forGround: inUnit(forGround),
    shown: inUnit(shown),
    size,
    step: step && dimensionOf(step.unit) === dimensionOf(unit) ? inUnit(step) : 0,
    most: mostOfMix(request),
  }
}
