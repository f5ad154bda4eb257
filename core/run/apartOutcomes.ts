import { sumOf } from '../quantity/counting'
import { ROUNDING } from '../quantity/tolerance'
import type { RateGroup } from '../plan/plan'
import { amountFactor, type Quantity } from '../quantity/quantity'
import type { AmountUnit, RateUnit } from '../quantity/units'
import { err, ok, type Result } from '../result'
import { asEntered, figureText, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import type { OutcomeProblem } from './outcomeProblem'
import { verdictOf, type Judging, type Verdict } from './verdict'

/** What the lawns of one rate got of a product, measured apart from the others. */
export interface ApartOutcome {
  readonly areas: readonly string[]
  readonly used: Quantity<AmountUnit>
  readonly plannedRate: Quantity<RateUnit>
  readonly actualRate: Quantity<RateUnit>
  readonly deviation: number
  readonly give: number
  readonly verdict: Verdict
}

interface Weighed {
  /** What each rate's lawns got but the last, in the plan's order; the last got the rest. */
  readonly apart: readonly Quantity<AmountUnit>[]
  /** All that was used. */
  readonly used: Quantity<AmountUnit>
  /** Treated ground over planned ground; every group carries its share of the difference. */
  readonly treatedShare: number
}

/**
 * Each rate of a job against what went onto its lawns.
 * @returns nothing where it was not weighed apart; a problem at the entry where the others leave nothing
 *   for the last
 * Source: trade.md 9, actual rate against planned, per area.
 * @example 11.2 lb used, 8.8 of it on the first lawn planned for 8.67: +1.5 %; the other got 2.4 of 2.64:
 *   -9.1 %
 */
export function apartOutcomes(
  productId: string,
  groups: readonly RateGroup[],
  { apart, used, treatedShare }: Weighed,
  book: WorkingBook,
  { tolerance, groundError }: Judging,
): Result<readonly ApartOutcome[], readonly OutcomeProblem[]> {
  if (apart.length === 0 || apart.length !== groups.length - 1) return ok([])
  const unit = amountFactor(used.unit)
  const first = apart.map(({ value, unit: own }) => (value * amountFactor(own)) / unit)
  const rest = used.value - sumOf(first, (one) => one)
  if (rest <= used.value * ROUNDING)
    return err([
      {
        path: `apart.${apart.length - 1}`,
        message:
          `All that was used is ${figureText(used)}: nothing of it would be left for the other lawns. ` +
          'Check what went where.',
      },
    ])
  return ok(
    groups.flatMap(({ areas, products }, i): readonly ApartOutcome[] => {
      const planned = products.find(({ id }) => id === productId)
      const own = i < first.length ? (first[i] ?? 0) : rest
      if (!planned) return []
      const deviation =
        (own * unit) / (planned.amount.value * amountFactor(planned.amount.unit) * treatedShare) - 1
      const outcome: ApartOutcome = {
        areas,
        used: { value: own, unit: used.unit },
        plannedRate: planned.rate,
        actualRate: { value: planned.rate.value * (1 + deviation), unit: planned.rate.unit },
        deviation,
        give: 2 * groundError,
        verdict: verdictOf(deviation, 2 * groundError, tolerance),
      }
      book.note(`outcome.${productId}.${i}`, () => [
        apart[i]
          ? `weighed onto it ${asEntered(apart[i])}`
          : `the rest of ${figureText(used)}: ${figureText(outcome.used)}`,
        `planned ${figureText(planned.amount)} at ${asEntered(planned.rate)}; off by ` +
          `${sixDigits(deviation * 100)} %`,
        `actual rate ${figureText(outcome.actualRate)}`,
      ])
      return [outcome]
    }),
  )
}
