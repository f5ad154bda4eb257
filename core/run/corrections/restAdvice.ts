import { carrierOf } from '../../plan/carrierOf'
import { sumOf } from '../../quantity/counting'
import { amountFactor, areaSi } from '../../quantity/quantity'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import type { Used } from '../outcome'
import type { FrozenPlan } from '../runEvent'
import { leftoverResult, shortAmount, type LeftoverResult } from './leftover'
import { mostOfMix } from './mostOfLabel'

/** What is to be done with what is left, or with ground that was not reached. */
export interface RestAdvice {
  readonly leftover: LeftoverResult
  /** What is left beyond what should be, kg or m3. */
  readonly over: number
  /** The site that what is left drives on to: it is asked for there, not laid out here. */
  readonly onward: string | undefined
  /** Ground that was not reached, m2, and what it needs, kg or m3; nothing where all of it was. */
  readonly uncovered: number
  readonly shortOf: number
}

/** Less than this share of the lawn is no ground that was left out. */
const NEXT_TO_NOTHING = 0.01

/** Source: trade.md 8, leftover and ran short. */
export function restAdvice(
  { request, plan, worked, common }: FrozenPlan,
  { treated, left, made, putIn, strips = [] }: Used,
  book: WorkingBook = closedWorkingBook,
): RestAdvice | undefined {
  const size = areaSi(plan.totals.size)
  const carrier = carrierOf(request.method)
  const [product] = plan.totals.products
  const put = made ?? putIn[0]?.amount
  const meant = carrier
    ? carrier.perArea * size
    : product && product.measured.value * amountFactor(product.measured.unit)
  if (!put || !meant) return undefined
  const si = (amount: { readonly value: number; readonly unit: Parameters<typeof amountFactor>[0] }) =>
    amount.value * amountFactor(amount.unit)
  const onward = common?.to
  const reserve = onward
    ? Math.max(0, si(put) - meant)
    : request.method.kind === 'spray'
      ? request.method.dead
        ? si(request.method.dead)
        : 0
      : worked?.hopper
        ? si(worked.hopper.reserve)
        : 0
  const laid = si(put) - si(left) - sumOf(strips, ({ amount }) => si(amount))
  const over = Math.max(0, si(left) - reserve)
  const uncovered = Math.max(0, size - areaSi(treated))
  const missing = uncovered > NEXT_TO_NOTHING * size ? uncovered : 0
  return {
    leftover: leftoverResult({ over, laid, amount: meant, size, most: mostOfMix(request) }, book),
    over,
    onward: onward?.site,
    uncovered: missing,
    shortOf: missing > 0 ? shortAmount(missing, meant, size, book) : 0,
  }
}
