import { carrierOf } from '../../plan/carrierOf'
import { sumOf } from '../../quantity/counting'
import { amountFactor, areaSi, type Quantity } from '../../quantity/quantity'
import { isMassUnit, type AmountUnit } from '../../quantity/units'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import type { Used } from '../outcome'
import { NO_PROGRESS, type RunProgress } from '../progress'
import type { FrozenPlan } from '../runEvent'
import { askCheckpoint } from './askCheckpoint'
import { checkpointResult } from './checkpoint'
import { leftoverResult, shortAmount, type LeftoverResult } from './leftover'
import { mostOfMix } from './mostOfLabel'

/** What is to be done with what is left, or with ground that was not reached. */
export interface RestAdvice {
  readonly leftover: LeftoverResult
  /** What is left beyond what should be, kg or m3. */
  readonly over: number
  /** The site that more than was planned drives on to: it is asked for there, not laid out here. */
  readonly onward: string | undefined
  /** Ground that was not reached, m2, and what it needs, kg or m3; nothing where all of it was. */
  readonly uncovered: number
  readonly shortOf: number
}

/** Less than this share of the lawn is no ground that was left out, and of the amount nothing over. */
const NEXT_TO_NOTHING = 0.01

const si = ({ value, unit }: Quantity<AmountUnit>): number => value * amountFactor(unit)

/** What lies where most went down, over what was meant, by the weighings of dry work; else undefined. */
function heaviestBehind(
  frozen: FrozenPlan,
  progress: RunProgress,
  left: Quantity<AmountUnit>,
): number | undefined {
  const { request, worked } = frozen
  const { value, unit } = left
  if (request.method.kind !== 'spread' || progress.checked.length === 0 || !isMassUnit(unit)) return undefined
  const pass = worked?.passes ?? request.method.passes
  const end = { pass, share: 1, left: { value, unit }, way: 'weighed' as const }
  const question = askCheckpoint(frozen, progress, end)
  return question && checkpointResult(question)?.laid
}

/** What never comes out of hose and boom, or lies in the hopper as a reserve, kg or m3. */
function staysInMachine({ request: { method }, worked }: FrozenPlan): number {
  const stays = method.kind === 'spray' ? method.dead : worked?.hopper?.reserve
  return stays ? si(stays) : 0
}

/**
 * @param progress what was weighed on the way: it says where most went down
 * Source: trade.md 8, leftover and ran short.
 */
export function restAdvice(
  frozen: FrozenPlan,
  { treated, left, made, putIn, strips = [] }: Used,
  book: WorkingBook = closedWorkingBook,
  progress: RunProgress = NO_PROGRESS,
): RestAdvice | undefined {
  const { request, plan, common } = frozen
  const size = areaSi(plan.totals.size)
  const carrier = carrierOf(request.method)
  const [product] = plan.totals.products
  const put = made ?? putIn[0]?.amount
  const meant = carrier
    ? carrier.perArea * size
    : product && product.measured.value * amountFactor(product.measured.unit)
  if (!put || !meant) return undefined
  const reserve = common?.to ? Math.max(0, si(put) - meant) : staysInMachine(frozen)
  const laid = si(put) - si(left) - sumOf(strips, ({ amount }) => si(amount))
  const over = Math.max(0, si(left) - reserve)
  const uncovered = Math.max(0, size - areaSi(treated))
  const missing = uncovered > NEXT_TO_NOTHING * size ? uncovered : 0
  if (common?.to)
    book.note('run.leftover', () => [
      `${sixDigits(si(put))} in the tank here, ${sixDigits(meant)} of it for these lawns, m3: ` +
        `${sixDigits(reserve)} to drive on`,
      `${sixDigits(si(left))} left, ${sixDigits(over)} more than that`,
    ])
  return {
    // What drives on is laid elsewhere: nothing of it is to be spread here.
    leftover: common?.to
      ? { answer: 'none', perArea: 0, then: laid / meant }
      : leftoverResult(
          {
            over,
            laid,
            amount: meant,
            size,
            most: mostOfMix(request),
            heaviest: heaviestBehind(frozen, progress, left),
          },
          book,
        ),
    over,
    onward: over > NEXT_TO_NOTHING * meant ? common?.to?.site : undefined,
    uncovered: missing,
    shortOf: missing > 0 ? shortAmount(missing, meant, size, book) : 0,
  }
}
