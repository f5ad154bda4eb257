import { carrierOf } from '../../plan/carrierOf'
import type { PlanRequest } from '../../plan/planRequest'
import { amountFactor, areaSi } from '../../quantity/quantity'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import type { Used } from '../outcome'
import type { FrozenPlan } from '../runEvent'

/** What was used comes to the ground that was written down, to the rounding of a field. */
const SAME = 0.005
/** Less than this share of the lawns is a part of them. */
const PART = 0.95

/**
 * Whether only spots of the lawns were treated, their ground taken from what was used: it says nothing of the
 * carrier, which it was worked out from.
 * Source: trade.md 4.
 */
export function isSpotWork(
  { request, plan }: Pick<FrozenPlan, 'request' | 'plan'>,
  used: Pick<Used, 'made' | 'left' | 'treated'>,
): boolean {
  const ground = spotGround(request, used)
  const treated = areaSi(used.treated)
  return (
    ground !== undefined &&
    treated < PART * areaSi(plan.totals.size) &&
    Math.abs(treated / ground - 1) <= SAME
  )
}

/**
 * The ground that spots came to: what went out at the calibrated carrier.
 * @returns m2; undefined for dry work, and where nothing went out
 * Source: trade.md 4, known volume on known ground, asked the other way round.
 * @example 4 L out at 4 L on 100 m2: 100 m2
 */
export function spotGround(
  { method }: Pick<PlanRequest, 'method'>,
  { made, left }: Pick<Used, 'made' | 'left'>,
  book: WorkingBook = closedWorkingBook,
): number | undefined {
  const carrier = carrierOf(method)?.perArea
  if (!made || carrier === undefined) return undefined
  const used = made.value * amountFactor(made.unit) - left.value * amountFactor(left.unit)
  if (!(used > 0) || !(carrier > 0)) return undefined
  book.note('run.spots', () => [
    `${sixDigits(used * 1000)} L went out at ${sixDigits(carrier * 1e5)} L on 100 m2`,
    `ground = ${sixDigits(used / carrier)} m2`,
  ])
  return used / carrier
}
