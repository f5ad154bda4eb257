import { sumOf } from '../../quantity/counting'
import { amountFactor, type Quantity } from '../../quantity/quantity'
import { dimensionOf } from '../../quantity/rateUnit'
import type { AmountUnit, VolumeUnit } from '../../quantity/units'
import type { RunProgress } from '../progress'
import { commonLoads } from '../common/commonLoads'
import type { FrozenPlan } from '../runEvent'
import { runSteps } from './runSteps'

/**
 * What went in as it was written down on the way; what was not written down counts as it was planned. What a
 * common mix brought along is in it.
 */
export interface PutIn {
  readonly products: ReadonlyMap<string, Quantity<AmountUnit>>
  /** Finished spray of all loads; undefined for dry work. */
  readonly made: Quantity<VolumeUnit> | undefined
}

/** Sums what was measured, load by load. */
export function putIn(frozen: FrozenPlan, progress: RunProgress): PutIn {
  const steps = runSteps(frozen, progress)
  const wanted = steps.flatMap((step): readonly Wanted[] => {
    if (step.kind === 'weigh') return [{ load: step.load, productId: step.productId, amount: step.wanted }]
    return step.kind === 'mix'
      ? step.load.products.map(({ id, measured }) => ({
          load: step.load.number,
          productId: id,
          amount: measured,
        }))
      : []
  })
  const carried = commonLoads(frozen, progress.tank?.found)?.carried?.load
  const products = new Map(
    frozen.plan.totals.products.map(({ id, measured: { unit } }) => {
      const came = carried?.products.find((product) => product.id === id)
      const amounts = [
        ...(came ? [came.measured] : []),
        ...wanted
          .filter(({ productId }) => productId === id)
          .map(
            ({ load, amount }) =>
              progress.measured.find((one) => one.load === load && one.productId === id)?.amount ?? amount,
          ),
      ].filter((amount) => dimensionOf(amount.unit) === dimensionOf(unit))
      const whole = sumOf(amounts, (amount) => amount.value * amountFactor(amount.unit))
      return [id, { value: whole / amountFactor(unit), unit }] as const
    }),
  )
  const mixed = [
    ...(carried ? [carried.carrier] : []),
    ...steps.flatMap((step) => (step.kind === 'mix' ? [step.load.carrier] : [])),
  ]
  const [first] = mixed
  return {
    products,
    made: first && { value: sumOf(mixed, ({ value }) => value), unit: first.unit },
  }
}
interface Wanted {
  readonly load: number
  readonly productId: string
  readonly amount: Quantity<AmountUnit>
}
