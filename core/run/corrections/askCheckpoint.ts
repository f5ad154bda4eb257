import { DEFAULT_HOUSE } from '../../house'
import { amountFactor, areaSi } from '../../quantity/quantity'
import type { CheckedEntry } from '../carriedShape'
import { doneAt, type RunProgress } from '../progress'
import type { FrozenPlan } from '../runEvent'
import type { CheckpointQuestion } from './checkpoint'
import { mostOfMix } from './mostOfLabel'
import { doubtOfRest } from './reading'

/**
 * The question of a checkpoint of dry work: what was weighed in, what was found on the way, and the entry in
 * hand as the last of it.
 * @returns undefined for wet work, and where lawns have rates of their own
 */
export function askCheckpoint(
  { request, plan, worked, tolerance = DEFAULT_HOUSE }: FrozenPlan,
  { checked, measured }: RunProgress,
  entry: CheckedEntry,
): CheckpointQuestion | undefined {
  const [product, total] = [request.products[0], plan.totals.products[0]]
  if (request.method.kind !== 'spread' || !product || !total || plan.rates) return undefined
  const forGround = worked?.hopper?.measured ?? total.measured
  const put = measured.find(({ load }) => load === 0)?.amount ?? worked?.hopper?.weighIn ?? total.measured
  const charge = put.value * amountFactor(put.unit)
  const step = product.measureStep ? product.measureStep.value * amountFactor(product.measureStep.unit) : 0
  const earlier = checked.filter((one) => doneAt(one) < doneAt(entry) - 1e-9)
  return {
    amount: forGround.value * amountFactor(forGround.unit),
    size: areaSi(plan.totals.size),
    passes: worked?.passes ?? request.method.passes,
    charge,
    chargeDoubt: doubtOfRest('weighed', charge, step),
    rests: [...earlier, entry].map((one) => ({
      done: doneAt(one),
      left: one.left.value * amountFactor(one.left.unit),
      doubt: doubtOfRest(one.way, charge, step),
    })),
    most: mostOfMix(request),
    good: tolerance.good,
  }
}
